<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiagonalEnvelope;

use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Lie;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\TurnedSquare;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/**
 * On a scoring board, corner up: a flap's height from each corner, the same from opposite corners.
 *
 * The sheet's diagonal lies on the middle groove, the first at or just past half the diagonal, so every reading is the
 * distance from the corner plus that small difference. Counted from the middle groove both folds of a face lie half
 * the face away; half the face is rounded up to the board's step, and the flaps take what is left.
 */
final class ScoreLayout
{
    public static function of(MakeUp $wide, MakeUp $high, Length $seam, Tools $tools): Layout
    {
        $halfWide = $tools->score->up(Length::atLeast($wide->figure()->toMillimetres() / 2));
        $halfHigh = $tools->score->up(Length::atLeast($high->figure()->toMillimetres() / 2));
        $exact = Length::atLeast(($wide->figure()->toMillimetres() + $high->figure()->toMillimetres()) / M_SQRT2)->plus($seam->times(2));
        $side = $tools->cut->up(Length::atLeast($halfWide->plus($halfHigh)->toMillimetres() * M_SQRT2)->plus($seam->times(2)));

        $half = Length::nearestTo($side->toMillimetres() / M_SQRT2);
        $middle = $tools->score->up($half);
        $standoff = $middle->minus($half);
        $across = 1 / M_SQRT2;
        $slip = Length::nearestTo((2 + M_SQRT2) * Fit::handMiss()->toMillimetres());

        return new Layout(
            $side, $exact,
            $wide->share($across)->and($high->share($across))->plus(new Term(TermKind::Seam, $seam->times(2)))->roundedTo($side),
            [
                ...self::pair(Axis::Diagonal, ['top-left' => Flap::LEFT, 'bottom-right' => Flap::RIGHT],
                    $middle->minus($halfWide), self::madeOf($half, $wide, $standoff, $middle->minus($halfWide)), $standoff, 1),
                ...self::pair(Axis::CrossDiagonal, ['top-right' => Flap::TOP, 'bottom-left' => Flap::BOTTOM],
                    $middle->minus($halfHigh), self::madeOf($half, $high, $standoff, $middle->minus($halfHigh)), $standoff, 3),
            ],
            new TurnedSquare($side->toMillimetres(), $halfWide->toMillimetres() * 2, $halfHigh->toMillimetres() * 2),
            $slip, $slip, Lie::CornerUp, $tools->cut,
        );
    }

    private static function madeOf(Length $half, MakeUp $face, Length $standoff, Length $reading): MakeUp
    {
        return MakeUp::of(new Term(TermKind::HalfDiagonal, $half))->and($face->share(-0.5))
            ->plus(new Term(TermKind::Groove, $standoff))->roundedTo($reading);
    }

    /**
     * @param array<string, string> $corners flap by the corner it is read from
     * @return list<Measure>
     */
    private static function pair(Axis $axis, array $corners, Length $at, MakeUp $madeOf, Length $standoff, int $firstSide): array
    {
        $measures = [];
        foreach ($corners as $corner => $flap) {
            $measures[] = new Measure(MeasureKind::Score, ToolKind::ScoringBoard, $axis, $corner, $at, $madeOf, [$flap], $firstSide + count($measures), $standoff);
        }

        return $measures;
    }
}
