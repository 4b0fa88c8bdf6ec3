<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Settle\Alternative;
use Gimbo\Core\Settle\Follow;
use Gimbo\Core\Settle\Missed;
use Gimbo\Core\Settle\Rescue;
use Gimbo\Core\Settle\Yields;

/** What a step up or down of each setting would do, and what became of one that was missed, as the browser gets it; lengths are texts in the design's system. */
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
            'piece' => $one->setting->piece,
            'measures' => $one->measures,
            'steps' => $one->steps,
            'text' => $one->text,
            'fits' => self::fits($one->changed, $words),
        ], $alternatives);
    }

    /** @return list<array<string, mixed>> how often each piece comes out of a sheet of its paper */
    public static function yields(Yields $yields, System $system): array
    {
        $words = LengthFormatter::for($system);
        $size = fn (Rectangle $one): array => ['width' => $words->rounded($one->width), 'height' => $words->rounded($one->height)];

        return array_map(fn (array $one): array => [
            'piece' => $one[0]->id, 'count' => $one[2]->count, 'sheet' => $one[1]->sheet === null ? null : $size($one[1]->sheet), 'left' => $one[2]->left === null ? null : $size($one[2]->left),
            'more' => $one[3] === null ? null : [
                'count' => $one[3][1]->count, 'id' => $one[3][0]->id, 'params' => (object) $one[3][0]->params,
                'edits' => array_map(fn (string $at, mixed $to): array => ['at' => $at, 'to' => $to], array_keys($one[3][0]->edits), $one[3][0]->edits),
            ],
        ], $yields->all());
    }

    /** @return array<string, mixed> */
    public static function missed(Missed $missed, System $system): array
    {
        $words = LengthFormatter::for($system);
        $gone = array_map(fn (Fit $fit) => $fit->id.$fit->piece, $missed->gone);

        return [
            'text' => $missed->wrong->text($missed->at), 'verdict' => $missed->verdict->value, 'fromOtherEdge' => $missed->isFromOtherEdge,
            'redo' => $missed->redo?->value, 'right' => $missed->wrong->text(),
            'fits' => array_map(fn (Fit $fit) => [
                'id' => $fit->id, 'piece' => $fit->piece, 'ok' => $fit->isOk(), 'isGone' => in_array($fit->id.$fit->piece, $gone, true),
                'stillGoes' => ! $fit->have->isLessThan($fit->bare) && $fit->band === null,
                'spare' => $words->rounded($fit->have->minus($fit->bare)), 'short' => $words->rounded($fit->bare->minus($fit->have)),
                'state' => $fit->state(),
            ], $missed->changed),
            'rescues' => array_map(fn (Rescue $rescue) => ['measures' => $rescue->measures, 'text' => $rescue->text], $missed->rescues),
            'smaller' => $missed->smaller === null ? null : [
                'width' => $words->rounded($missed->smaller->width), 'height' => $words->rounded($missed->smaller->height), 'thickness' => LengthFormatter::for(System::Metric)->rounded($missed->smaller->thickness),
            ],
            'follow' => array_map(fn (Follow $follow) => [
                'piece' => $follow->piece->id,
                'figures' => array_map(fn (int $i) => ['measure' => $i, 'text' => $follow->piece->measures[$i]->text()], $follow->measures),
            ], $missed->follow),
            'takes' => $missed->takes,
        ];
    }

    /**
     * @param list<Fit> $fits
     * @return list<array{id: string, piece: ?string, ok: bool, critical: bool, spare: string}>
     */
    private static function fits(array $fits, LengthFormatter $words): array
    {
        return array_map(fn (Fit $fit) => [
            'id' => $fit->id, 'piece' => $fit->piece, 'ok' => $fit->isOk(), 'critical' => $fit->isCritical(),
            'spare' => $words->rounded($fit->have->minus($fit->isOk() ? $fit->bare : $fit->need)),
        ], $fits);
    }
}
