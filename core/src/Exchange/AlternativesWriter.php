<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Design\Alternative;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;

/** What a step up or down of each setting would do, as the browser gets it; lengths are texts in the design's system. */
final class AlternativesWriter
{
    /**
     * @param list<Alternative> $alternatives
     * @return list<array{piece: string, measures: list<int>, steps: int, text: string, fits: list<array{id: string, piece: ?string, ok: bool, critical: bool, spare: string}>}>
     */
    public static function write(array $alternatives, System $system): array
    {
        $words = LengthFormatter::for($system);

        return array_map(fn (Alternative $one) => [
            'piece' => $one->piece,
            'measures' => $one->setting->measures,
            'steps' => $one->steps,
            'text' => $words->text($one->at),
            'fits' => array_map(fn (Fit $fit) => [
                'id' => $fit->id, 'piece' => $fit->piece, 'ok' => $fit->isOk(), 'critical' => $fit->isCritical(),
                'spare' => $words->rounded($fit->have->minus($fit->isOk() ? $fit->bare : $fit->need)),
            ], $one->changed),
        ], $alternatives);
    }
}
