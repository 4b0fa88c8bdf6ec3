<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Figure\PieceFigures;
use Gimbo\Core\Setting\MeasureKind;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;

/** How a sheet of columns and rows is cut and scored: each edge in turn at the fence, the sheet turned clockwise between. */
final class GridWork
{
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
                    $steps[] = new WorkStep(Deed::Score, $piece->id, with: ToolKind::ScoringBoard, measures: [$i], quarterTurns: $turns);
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
