<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Lie;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/** On a punch board: one mark a side, p = H/√2 + d from one end, S − p = W/√2 + d from the other. */
final class PunchedSquare
{
    /**
     * @param MakeUp $wide what the face must be between its folds along its long side
     * @param MakeUp $high the same along its short side
     * @param ?MakeUp $depth of a gusset all round, if there is one: two marks a side, √2 times the depth apart
     */
    public static function of(MakeUp $wide, MakeUp $high, Tools $tools, ?MakeUp $depth = null): TurnedLayout
    {
        $seam = new Term(TermKind::Seam, $tools->notch);
        $short = Length::atLeast($high->figure()->toMillimetres() / M_SQRT2)->plus($tools->notch);
        $long = Length::atLeast($wide->figure()->toMillimetres() / M_SQRT2)->plus($tools->notch);

        // Either end of the side can be the one that falls on the board's step; the other end takes what is left.
        $exactGap = Length::atLeast(($depth?->figure()->toMillimetres() ?? 0.0) * M_SQRT2);
        $gap = $tools->punch->up($exactGap);
        $mark = $tools->punch->up($short);
        $side = $tools->cut->up($mark->plus($gap, $long));
        $otherMark = $tools->punch->up($long);
        $otherSide = $tools->cut->up($otherMark->plus($gap, $short));
        $isFromShortEnd = ! $otherSide->isLessThan($side);
        $across = 1 / M_SQRT2;
        if ($isFromShortEnd) {
            $madeOf = $high->share($across)->plus($seam)->roundedTo($mark);
        } else {
            [$side, $mark] = [$otherSide, $otherMark];
            $madeOf = $wide->share($across)->plus($seam)->roundedTo($mark);
        }
        $side = $side->plus($tools->moved('side'));
        $mark = $mark->plus($tools->moved('mark'));
        // The second mark stays where it is read when the first one moves.
        $gap = $depth === null ? $gap : $gap->plus($tools->moved('second-mark'))->minus($tools->moved('mark'));
        $depth === null || $gap->isPositive() || throw NothingLeft::of('gusset');
        $madeOf = $madeOf->roundedTo($mark);
        $rest = $side->minus($mark)->minus($gap);
        [$p, $q] = $isFromShortEnd ? [$mark, $rest] : [$rest, $mark];
        $square = new TurnedSquare(
            $side->toMillimetres(),
            $q->minus($tools->notch)->toMillimetres() * M_SQRT2,
            $p->minus($tools->notch)->toMillimetres() * M_SQRT2,
            $gap->toMillimetres() / M_SQRT2,
        );
        $miss = Fit::handMiss()->toMillimetres() * M_SQRT2;

        return new TurnedLayout(
            $side, $short->plus($long, $exactGap),
            $wide->share($across)->and($high->share($across))->and(self::gap($depth))->plus($seam, $seam)->roundedTo($side),
            self::marks($mark, $madeOf, $gap, $depth, $isFromShortEnd),
            $square,
            wideSlip: Length::nearestTo($isFromShortEnd ? 2 * $miss : $miss),
            highSlip: Length::nearestTo($isFromShortEnd ? $miss : 2 * $miss),
            lie: Lie::Square,
            tools: $tools,
        );
    }

    private static function gap(?MakeUp $depth): MakeUp
    {
        return $depth?->share(M_SQRT2) ?? MakeUp::of();
    }

    /**
     * The sheet is turned a quarter clockwise from side to side: top, left, bottom and right edge lie at the punch
     * one after another, and the short reading is at their left, right, left and right end.
     *
     * @return list<Measure>
     */
    private static function marks(Length $mark, MakeUp $madeOf, Length $gap, ?MakeUp $depth, bool $isFromShortEnd): array
    {
        $corners = [
            [Flap::LEFT, Flap::TOP], [Flap::LEFT, Flap::BOTTOM],
            [Flap::BOTTOM, Flap::RIGHT], [Flap::RIGHT, Flap::TOP],
        ];
        $marks = [];
        foreach ($corners as $i => $flaps) {
            $from = $i % 2 === ($isFromShortEnd ? 0 : 1) ? 'left' : 'right';
            $marks[] = new Measure(MeasureKind::Punch, ToolKind::PunchBoard, Axis::Edge, $from, $mark, $madeOf, $flaps, $i + 1, setting: 'mark');
            if ($depth !== null) {
                $second = $madeOf->and(self::gap($depth)->roundedTo($gap));
                $gussets = array_map(fn (string $flap) => str_replace('flap', 'gusset', $flap), $flaps);
                $marks[] = new Measure(MeasureKind::Punch, ToolKind::PunchBoard, Axis::Edge, $from, $mark->plus($gap), $second, $gussets, $i + 1, setting: 'second-mark');
            }
        }

        return $marks;
    }
}
