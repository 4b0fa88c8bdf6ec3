<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;

/** How a figure that was missed can be set right on the same sheet (common practice, no source). */
enum Redo: string
{
    /** Cut too large: cut again. */
    case CutAgain = 'cut-again';
    /** A stray score does no harm: score again, and mark the stray one. */
    case ScoreAgain = 'score-again';
    /** A pencil mark is rubbed out. */
    case MarkAgain = 'mark-again';
    /** Too little was taken off: take more off. */
    case TrimAgain = 'trim-again';

    /** @param Length $to where it is to be set now, after it was set to $from; null where that cannot be undone */
    public static function of(Measure $measure, Length $to, Length $from): ?self
    {
        return match ($measure->kind) {
            MeasureKind::Score => self::ScoreAgain,
            MeasureKind::Mark => self::MarkAgain,
            MeasureKind::Trim => $from->isLessThan($to) ? self::TrimAgain : null,
            MeasureKind::Cut => $to->isLessThan($from) ? self::CutAgain : null,
            default => null,
        };
    }
}
