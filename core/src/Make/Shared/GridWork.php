<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Figure\PieceFigures;
use Gimbo\Core\Setting\Measure;
use Gimbo\Core\Setting\MeasureKind;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;

/** How a sheet of columns and rows is cut and scored: each edge in turn at the fence, the sheet turned clockwise between. */
final class GridWork
{
    /** Whether a score is the last of those read on from one edge: what the sheet was cut wrong by then lies beyond it. */
    private static function isLastReadOn(PieceFigures $piece, int $measure): bool
    {
        $score = $piece->measures[$measure];
        $further = array_filter($piece->measures, fn (Measure $other) => $other->kind === MeasureKind::Score && $other->from === $score->from && $other->at->isMoreThan($score->at));

        return $score->across !== null && $further === [];
    }

    /**
     * @param bool $isTried whether the contents are laid in before the last score
     * @return list<WorkStep>
     */
    public static function cutAndScore(PieceFigures $piece, bool $isTried = false): array
    {
        $cuts = array_keys(array_filter($piece->measures, fn ($measure) => $measure->kind === MeasureKind::Cut));
        $steps = [new WorkStep(Deed::Cut, $piece->id, with: ToolKind::Trimmer, measures: $cuts)];
        $turns = 0;
        foreach (GridSheet::TURNS as $edge) {
            foreach ($piece->measures as $i => $measure) {
                if ($measure->kind === MeasureKind::Score && $measure->from === $edge) {
                    $steps[] = new WorkStep(Deed::Score, $piece->id, with: $measure->tool, measures: [$i], quarterTurns: $turns, advice: self::isLastReadOn($piece, $i) ? ['the-last-panel-takes-the-rest'] : []);
                    $turns = 0;
                }
            }
            $turns++;
        }
        if ($isTried && count($steps) > 2) {
            array_splice($steps, -1, 0, [new WorkStep(Deed::TryFit, $piece->id, advice: ['before-the-last-score'])]);
        }

        return $steps;
    }
}
