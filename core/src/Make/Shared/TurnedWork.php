<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Figure\PieceFigures;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Setting\MeasureKind;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;

/** The work on a square turned on its corner; advice is common practice, no source. */
final class TurnedWork
{
    /** By how many quarters the sheet is turned when each corner's side lies at the fence: opposite corners are half a turn apart. */
    private const QUARTERS = [1 => 0, 2 => 2, 3 => 3, 4 => 5];

    /**
     * Cut, punch or score with every turn, trim and round the tips.
     *
     * @param list<string> $rounded the flaps whose tips are rounded
     * @return list<WorkStep>
     */
    public static function upToFolding(PieceFigures $piece, SizingRequest $request, array $rounded): array
    {
        $of = fn (MeasureKind $kind): array => array_keys(array_filter($piece->measures, fn ($measure) => $measure->kind === $kind));
        $trims = $of(MeasureKind::Trim);

        return [
            new WorkStep(Deed::Cut, $piece->id, with: ToolKind::Trimmer, measures: $of(MeasureKind::Cut), advice: ['try-on-plain-paper']),
            ...(TurnedMethod::isPunch($request) ? self::punching($piece, $of(MeasureKind::Punch)) : self::scoring($piece, $of(MeasureKind::Score))),
            ...($trims === [] ? [] : [new WorkStep(Deed::Trim, $piece->id, with: ToolKind::Trimmer, measures: $trims)]),
            new WorkStep(Deed::RoundCorners, $piece->id, faces: $rounded),
        ];
    }

    /**
     * Side after side, the sheet turned a quarter clockwise between; a look before the last side.
     *
     * @param list<int> $marks
     * @return list<WorkStep>
     */
    private static function punching(PieceFigures $piece, array $marks): array
    {
        $steps = [];
        $side = 1;
        foreach ($marks as $mark) {
            $next = $piece->measures[$mark]->side ?? $side;
            if ($next === 4 && $side !== 4) {
                $steps[] = new WorkStep(Deed::TryFit, $piece->id, advice: ['before-the-last-score']);
            }
            $steps[] = new WorkStep(
                Deed::Punch, $piece->id, with: ToolKind::PunchBoard, measures: [$mark], quarterTurns: $next - $side,
                advice: $next === 2 && $side === 1 ? ['line-up-by-the-score'] : [],
            );
            $side = $next;
        }

        return $steps;
    }

    /**
     * Opposite corners share their settings: half a turn between them, a quarter to the other diagonal.
     *
     * @param list<int> $scores
     * @return list<WorkStep>
     */
    private static function scoring(PieceFigures $piece, array $scores): array
    {
        $steps = [];
        $side = 1;
        // The last fold of the face, and with a gusset the one beside it.
        $together = count(array_filter($scores, fn (int $score) => str_ends_with($piece->measures[$score]->creases[0], '-gusset'))) > 0 ? 2 : 1;
        foreach ($scores as $i => $score) {
            $next = $piece->measures[$score]->side ?? $side;
            if ($i === count($scores) - $together) {
                $steps[] = new WorkStep(Deed::TryFit, $piece->id, advice: ['before-the-last-score']);
            }
            $steps[] = new WorkStep(
                Deed::Score, $piece->id, with: ToolKind::ScoringBoard, measures: [$score],
                quarterTurns: (self::QUARTERS[$next] - self::QUARTERS[$side] + 4) % 4, advice: $i === 0 ? ['mark-the-middle-groove'] : [],
            );
            $side = $next;
        }
        $steps[] = new WorkStep(Deed::Notch, $piece->id, faces: [Flap::FRONT]);

        return $steps;
    }
}
