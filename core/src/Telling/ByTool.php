<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Steps\Deed;

/**
 * The same work with each tool in hand once: all cuts, then all scores and punches by their setting, then the rest piece by piece.
 * What follows from a finished piece is not begun before: one phase after another.
 */
final class ByTool
{
    /** @return list<int> indexes of the design's steps */
    public static function order(Design $design): array
    {
        $phases = [];
        foreach ($design->steps() as $i => $step) {
            $phases[$step->phase][] = $i;
        }
        ksort($phases);

        return array_merge([], ...array_map(fn (array $steps) => self::ofPhase($design, $steps), array_values($phases)));
    }

    /**
     * @param list<int> $indexes
     * @return list<int>
     */
    private static function ofPhase(Design $design, array $indexes): array
    {
        $cuts = [];
        $settings = [];
        $rest = [];
        $measures = [];
        foreach ($design->pieces as $piece) {
            $measures[$piece->id] = $piece->measures;
        }
        foreach ($indexes as $i) {
            $step = $design->steps()[$i];
            $at = $measures[$step->piece][$step->measures[0] ?? -1] ?? null;
            if ($step->do === Deed::Cut) {
                $cuts[] = $i;
            } elseif (in_array($step->do, [Deed::Score, Deed::Punch], true) && $at !== null) {
                $settings[$at->tool->value.' '.$at->at->ticks][] = $i;
            } elseif ($step->do !== Deed::TryFit || $settings === [] || $rest !== []) {
                $rest[] = $i;
            } else {
                // A look before the last score stays before the last score.
                $settings[array_key_last($settings)][] = $i;
            }
        }

        return [...$cuts, ...array_merge([], ...array_values($settings)), ...$rest];
    }
}
