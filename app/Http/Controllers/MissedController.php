<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\JsonBody;
use App\Models\Design;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\AlternativesWriter;
use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Sizing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** One figure was set wrong: `{"piece": id, "measure": index, "at": what was really set}`, a bare number in the design's system. */
final class MissedController
{
    public function __invoke(Design $design, Request $request, Sizing $sizing): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        $spec = $design->toDocument()->spec;
        $system = $sizing->request($spec)->system;
        try {
            $at = LengthParser::read(is_string($body['at'] ?? null) ? $body['at'] : throw InvalidLength::notText(), $system->unit())->length;
            $at->isPositive() || throw InvalidLength::notPositive();
        } catch (InvalidLength $error) {
            throw InvalidDocument::at('/at', $error->reason);
        }
        $missed = $sizing->missed($spec, is_string($body['piece'] ?? null) ? $body['piece'] : '', is_int($body['measure'] ?? null) ? $body['measure'] : -1, $at);

        return new JsonResponse(AlternativesWriter::missed($missed, $system));
    }
}
