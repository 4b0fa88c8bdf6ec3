<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;

/** A reading can be taken from either edge, or corner, of the sheet: which of them a maker meant. */
final class OtherEdge
{
    /**
     * The same line, read from where it should be read; null where what was typed is no reading from the other edge: nearer to what was
     * right as it stands.
     */
    public static function meant(PieceFigures $piece, Measure $measure, Length $typed): ?Length
    {
        $both = self::both($piece, $measure);
        $turned = $both?->minus($typed);
        $off = fn (Length $at): int => abs($at->minus($measure->at)->ticks);

        // A hand does not miss by more than half an inch what it reads; common practice, no source.
        return $turned !== null && $turned->isPositive() && $off($turned) < $off($typed) && $off($turned) <= Length::inches(1, 2)->ticks ? $turned : null;
    }

    /** What the readings of one line from both sides come to together; null where there is only one. */
    private static function both(PieceFigures $piece, Measure $measure): ?Length
    {
        $isRead = in_array($measure->kind, [MeasureKind::Score, MeasureKind::Mark, MeasureKind::Punch], true) && $measure->rail === null;

        return ! $isRead ? null : match ($measure->axis) {
            Axis::Width, Axis::Edge => $piece->sheet->width,
            Axis::Height => $piece->sheet->height,
            // Corner up the sheet stands off by as much from both corners.
            Axis::Diagonal, Axis::CrossDiagonal => $measure->groove?->times(2),
        };
    }
}
