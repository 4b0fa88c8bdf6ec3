<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiagonalEnvelope;

use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\Flap;
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
        $trims = $of(MeasureKind::Trim);
        $topAdvice = $request->item->stack()->isMoreThan(self::bulkyFrom()) ? ['fold-the-top-by-hand'] : [];

        return [
            new WorkStep(Deed::Cut, $piece->id, with: ToolKind::Trimmer, measures: $of(MeasureKind::Cut), advice: ['try-on-plain-paper']),
            ...($isPunched ? self::punching($of(MeasureKind::Punch), $piece->id) : self::scoring($of(MeasureKind::Score), $piece->id)),
            ...($trims === [] ? [] : [new WorkStep(Deed::Trim, $piece->id, with: ToolKind::Trimmer, measures: $trims)]),
            new WorkStep(Deed::RoundCorners, $piece->id, faces: [Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP]),
            new WorkStep(Deed::Fold, $piece->id, faces: [Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP], onto: Flap::FRONT, advice: $topAdvice),
            new WorkStep(Deed::TryFit, $piece->id, advice: ['lay-it-in']),
            new WorkStep(Deed::Glue, $piece->id, faces: [Flap::BOTTOM], onto: Flap::LEFT, advice: ['leave-the-top-free']),
            new WorkStep(Deed::Fill, $piece->id),
            new WorkStep(Deed::Close, $piece->id, faces: [Flap::TOP], onto: Flap::BOTTOM),
        ];
    }

    /**
     * @param list<int> $marks
     * @param string $piece its id
     * @return list<WorkStep>
     */
    private static function punching(array $marks, string $piece): array
    {
        $steps = [];
        foreach ($marks as $i => $mark) {
            $i === 3 && $steps[] = new WorkStep(Deed::TryFit, $piece, advice: ['before-the-last-score']);
            $steps[] = new WorkStep(
                Deed::Punch, $piece, with: ToolKind::PunchBoard, measures: [$mark], quarterTurns: $i === 0 ? 0 : 1,
                advice: $i === 1 ? ['line-up-by-the-score'] : [],
            );
        }

        return $steps;
    }

    /**
     * Opposite corners share a setting: half a turn between them, a quarter to the other diagonal.
     *
     * @param list<int> $scores
     * @param string $piece its id
     * @return list<WorkStep>
     */
    private static function scoring(array $scores, string $piece): array
    {
        $steps = [];
        foreach ($scores as $i => $score) {
            $i === 3 && $steps[] = new WorkStep(Deed::TryFit, $piece, advice: ['before-the-last-score']);
            $steps[] = new WorkStep(
                Deed::Score, $piece, with: ToolKind::ScoringBoard, measures: [$score], quarterTurns: [0, 2, 1, 2][$i] ?? 0,
                advice: $i === 0 ? ['mark-the-middle-groove'] : [],
            );
        }
        $steps[] = new WorkStep(Deed::Notch, $piece, faces: [Flap::FRONT]);

        return $steps;
    }
}
