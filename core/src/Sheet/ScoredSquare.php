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

/**
 * On a scoring board, corner up: a flap's height from each corner, the same from opposite corners.
 *
 * The sheet's diagonal lies on the middle groove, the first at or just past half the diagonal, so every reading is the
 * distance from the corner plus that small difference. Counted from the middle groove both folds of a face lie half
 * the face away; half the face is rounded up to the board's step, and the flaps take what is left.
 */
final class ScoredSquare
{
    /** @param ?MakeUp $depth of a gusset all round, if there is one */
    public static function of(MakeUp $wide, MakeUp $high, Length $seam, Tools $tools, ?MakeUp $depth = null): TurnedLayout
    {
        $halfWide = $tools->score->up(Length::atLeast($wide->figure()->toMillimetres() / 2));
        $halfHigh = $tools->score->up(Length::atLeast($high->figure()->toMillimetres() / 2));
        $deep = $tools->score->up($depth?->figure() ?? Length::zero());
        $exactDiagonal = $wide->figure()->plus($high->figure(), ($depth?->figure() ?? Length::zero())->times(2));
        $exact = Length::atLeast($exactDiagonal->toMillimetres() / M_SQRT2)->plus($seam->times(2));
        $side = $tools->cut->up(Length::atLeast($halfWide->plus($halfHigh, $deep)->toMillimetres() * M_SQRT2)->plus($seam->times(2)));

        $readingOf = fn (Length $side): Length => $tools->score->up(Length::nearestTo($side->toMillimetres() / M_SQRT2));
        // What is read on the board stays, whatever the sheet was cut to.
        $wideAt = $readingOf($side)->minus($halfWide)->plus($tools->moved('sides'));
        $highAt = $readingOf($side)->minus($halfHigh)->plus($tools->moved('ends'));
        $side = $side->plus($tools->moved('side'));
        $half = Length::nearestTo($side->toMillimetres() / M_SQRT2);
        $middle = $readingOf($side);
        [$halfWide, $halfHigh] = [$middle->minus($wideAt), $middle->minus($highAt)];
        $standoff = $middle->minus($half);
        $across = 1 / M_SQRT2;
        $slip = Length::nearestTo((2 + M_SQRT2) * Fit::handMiss()->toMillimetres());

        return new TurnedLayout(
            $side, $exact,
            $wide->share($across)->and($high->share($across))->and($depth?->share(M_SQRT2) ?? MakeUp::of())
                ->plus(new Term(TermKind::Seam, $seam->times(2)))->roundedTo($side),
            [
                ...self::scores(Axis::Diagonal, ['top-left' => Flap::LEFT, 'bottom-right' => Flap::RIGHT], $wideAt, $deep, self::madeOf($half, $wide, $standoff, $wideAt), $depth, $middle, $standoff, 1),
                ...self::scores(Axis::CrossDiagonal, ['top-right' => Flap::TOP, 'bottom-left' => Flap::BOTTOM], $highAt, $deep, self::madeOf($half, $high, $standoff, $highAt), $depth, $middle, $standoff, 3),
            ],
            new TurnedSquare($side->toMillimetres(), $halfWide->toMillimetres() * 2, $halfHigh->toMillimetres() * 2, $deep->toMillimetres()),
            $slip, $slip, Lie::CornerUp, $tools,
        );
    }

    private static function madeOf(Length $half, MakeUp $face, Length $standoff, Length $reading): MakeUp
    {
        return MakeUp::of(new Term(TermKind::HalfDiagonal, $half))->and($face->share(-0.5))
            ->plus(new Term(TermKind::Groove, $standoff))->roundedTo($reading);
    }

    /**
     * Corner by corner; with a gusset, the flap's score and then the gusset's.
     *
     * @param array<string, string> $corners flap by the corner it is read from
     * @return list<Measure>
     */
    private static function scores(Axis $axis, array $corners, Length $face, Length $deep, MakeUp $madeOf, ?MakeUp $depth, Length $middle, Length $standoff, int $firstSide): array
    {
        $measures = [];
        $side = $firstSide;
        foreach ($corners as $corner => $flap) {
            if ($depth !== null) {
                $outer = $madeOf->and($depth->share(-1)->roundedTo($deep->times(-1)));
                $measures[] = new Measure(MeasureKind::Score, ToolKind::ScoringBoard, $axis, $corner, $face->minus($deep), $outer, [$flap], $side, $standoff, groove: $middle);
            }
            $crease = $depth === null ? $flap : str_replace('flap', 'gusset', $flap);
            $measures[] = new Measure(MeasureKind::Score, ToolKind::ScoringBoard, $axis, $corner, $face, $madeOf, [$crease], $side, $standoff, $axis === Axis::Diagonal ? 'sides' : 'ends', $middle);
            $side++;
        }

        return $measures;
    }
}
