<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Design;
use Gimbo\Core\Exchange\AlternativesWriter;
use Gimbo\Core\Sizing;
use Illuminate\Http\JsonResponse;

/** What each figure of a design would do a step up and a step down, and so which fits hang on it. */
final class AlternativesController
{
    public function __invoke(Design $design, Sizing $sizing): JsonResponse
    {
        $spec = $design->toDocument()->spec;

        return new JsonResponse([
            'revision' => $design->revision,
            'alternatives' => AlternativesWriter::write($sizing->alternatives($spec), $sizing->request($spec)->system),
            'yields' => AlternativesWriter::yields($sizing->yields($spec), $sizing->request($spec)->system),
        ]);
    }
}
