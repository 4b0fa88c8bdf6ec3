<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\JsonBody;
use Gimbo\Core\Library\TrialReader;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a trial at the table comes to. Nothing is kept. */
final class TrialController
{
    public function notch(Request $request): JsonResponse
    {
        [$trial, $system] = TrialReader::notch(JsonBody::of($request)->value);
        $words = LengthFormatter::for($system);
        $decimals = $system === System::Imperial ? 3 : 2;

        return new JsonResponse(['value' => $words->measured($trial->value, $decimals), 'spread' => $words->measured($trial->spread, $decimals), 'isSure' => $trial->isSure()]);
    }

    public function caliper(Request $request): JsonResponse
    {
        $trial = TrialReader::caliper(JsonBody::of($request)->value);

        return new JsonResponse(['value' => LengthFormatter::in(Unit::Millimetre)->measured($trial->value, 3), 'spread' => '0 mm', 'isSure' => true]);
    }
}
