<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiagonalEnvelope;

use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\TurnedSquare;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;

/** The steps of a diagonal envelope, in the order of the work; advice is common practice, no source. */
final class Work
{
    /** Something thicker wants its closing flap folded by hand, where it comes to lie. */
    private static function bulkyFrom(): Length
    {
        return Length::mm(4);
    }

    /** @return list<WorkStep> */
    public static function steps(Piece $piece, SizingRequest $request): array
    {
        $isPunched = $request->options->choice('method') === DiagonalEnvelope::PUNCH;
        $of = fn (MeasureKind $kind): array => array_keys(array_filter($piece->measures, fn ($measure) => $measure->kind === $kind));
        $step = fn (Deed $do, mixed ...$more): WorkStep => new WorkStep($do, $piece->id, ...$more);
        $trims = $of(MeasureKind::Trim);
        $topAdvice = $request->item->stack()->isMoreThan(self::bulkyFrom()) ? ['fold-the-top-by-hand'] : [];

        return [
            $step(Deed::Cut, with: ToolKind::Trimmer, measures: $of(MeasureKind::Cut), advice: ['try-on-plain-paper']),
            ...($isPunched ? self::punching($of(MeasureKind::Punch), $step) : self::scoring($of(MeasureKind::Score), $step)),
            ...($trims === [] ? [] : [$step(Deed::Trim, with: ToolKind::Trimmer, measures: $trims)]),
            $step(Deed::RoundCorners, faces: [TurnedSquare::LEFT, TurnedSquare::RIGHT, TurnedSquare::BOTTOM, TurnedSquare::TOP]),
            $step(Deed::Fold, faces: [TurnedSquare::LEFT, TurnedSquare::RIGHT, TurnedSquare::BOTTOM, TurnedSquare::TOP], onto: TurnedSquare::FACE, advice: $topAdvice),
            $step(Deed::TryFit, advice: ['lay-it-in']),
            $step(Deed::Glue, faces: [TurnedSquare::BOTTOM], onto: TurnedSquare::LEFT, advice: ['leave-the-top-free']),
            $step(Deed::Fill),
            $step(Deed::Close, faces: [TurnedSquare::TOP], onto: TurnedSquare::BOTTOM),
        ];
    }

    /**
     * @param list<int> $marks
     * @param callable(Deed, mixed...): WorkStep $step
     * @return list<WorkStep>
     */
    private static function punching(array $marks, callable $step): array
    {
        $steps = [];
        foreach ($marks as $i => $mark) {
            $i === 3 && $steps[] = $step(Deed::TryFit, advice: ['before-the-last-score']);
            $steps[] = $step(
                Deed::Punch, with: ToolKind::PunchBoard, measures: [$mark], quarterTurns: $i === 0 ? 0 : 1,
                advice: $i === 1 ? ['line-up-by-the-score'] : [],
            );
        }

        return $steps;
    }

    /**
     * Opposite corners share a setting: half a turn between them, a quarter to the other diagonal.
     *
     * @param list<int> $scores
     * @param callable(Deed, mixed...): WorkStep $step
     * @return list<WorkStep>
     */
    private static function scoring(array $scores, callable $step): array
    {
        $steps = [];
        foreach ($scores as $i => $score) {
            $i === 3 && $steps[] = $step(Deed::TryFit, advice: ['before-the-last-score']);
            $steps[] = $step(
                Deed::Score, with: ToolKind::ScoringBoard, measures: [$score], quarterTurns: [0, 2, 1, 2][$i],
                advice: $i === 0 ? ['mark-the-middle-groove'] : [],
            );
        }
        $steps[] = $step(Deed::Notch, faces: [TurnedSquare::FACE]);

        return $steps;
    }
}
