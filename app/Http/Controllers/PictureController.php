<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Design;
use Gimbo\Core\Exchange\StillWriter;
use Gimbo\Core\Sizing;
use Illuminate\Http\JsonResponse;

/** A still picture of the finished thing. */
final class PictureController
{
    public function __invoke(Design $design, Sizing $sizing): JsonResponse
    {
        return new JsonResponse(StillWriter::write($sizing->size($design->toDocument()->spec)));
    }
}
