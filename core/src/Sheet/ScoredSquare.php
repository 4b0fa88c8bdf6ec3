<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Setting\Axis;
use Gimbo\Core\Setting\Lie;
use Gimbo\Core\Setting\Measure;
use Gimbo\Core\Setting\MeasureKind;
use Gimbo\Core\Setting\Planning;
use Gimbo\Core\Setting\Settings;
use Gimbo\Core\Tool\ToolKind;

/**
 * On a scoring board, corner up: a flap's height from each corner, the same from opposite corners.
 *
 * The sheet's diagonal lies on the middle groove, the first at or just past half the diagonal, so every reading is the
 * distance from the corner plus that small difference. Counted from the middle groove both folds of a face lie half
 * the face away; half the face is rounded up to the board's step, and the flaps take what is left. The middle groove is
 * chosen when it is planned, and stays whatever the sheet was cut to.
 */
final readonly class ScoredSquare implements SheetPlan
{
    private const SIDES = 'sides';

    private const ENDS = 'ends';

    private const SIDE_FLAPS = 'side-flaps';

    private const END_FLAPS = 'end-flaps';

    private function __construct(private string $piece, private Length $middle, private bool $isDeep, private Tips $tips)
    {
    }

    /** @param ?MakeUp $depth of a gusset all round, if there is one */
    public static function plan(Planning $planning, string $piece, MakeUp $wide, MakeUp $high, Length $seam, ?MakeUp $depth = null): self
    {
        $tools = $planning->tools;
        $halfWide = $tools->score->up(Length::atLeast($wide->figure()->toMillimetres() / 2));
        $halfHigh = $tools->score->up(Length::atLeast($high->figure()->toMillimetres() / 2));
        $deep = $tools->score->up($depth?->figure() ?? Length::zero());
        $exactDiagonal = $wide->figure()->plus($high->figure(), ($depth?->figure() ?? Length::zero())->times(2));
        $exact = Length::atLeast($exactDiagonal->toMillimetres() / M_SQRT2)->plus($seam->times(2));
        $side = $tools->cut->up(Length::atLeast($halfWide->plus($halfHigh, $deep)->toMillimetres() * M_SQRT2)->plus($seam->times(2)));

        $across = 1 / M_SQRT2;
        $side = $planning->set(
            $piece, TurnedLayout::SHEET, ToolKind::Trimmer, $exact, $side,
            $wide->share($across)->and($high->share($across))->and($depth?->share(M_SQRT2) ?? MakeUp::of())->plus(new Term(TermKind::Seam, $seam->times(2))),
        )->at;
        $half = Length::nearestTo($side->toMillimetres() / M_SQRT2);
        $middle = $tools->score->up($half);
        foreach ([[self::SIDES, self::SIDE_FLAPS, $wide, $halfWide], [self::ENDS, self::END_FLAPS, $high, $halfHigh]] as [$folds, $flaps, $face, $halfFace]) {
            $madeOf = MakeUp::of(new Term(TermKind::HalfDiagonal, $half))->and($face->share(-0.5))->plus(new Term(TermKind::Groove, $middle->minus($half)));
            $at = $middle->minus($halfFace);
            if ($depth !== null) {
                $outer = $madeOf->roundedTo($at)->and($depth->share(-1)->roundedTo($deep->times(-1)));
                $planning->set($piece, $flaps, ToolKind::ScoringBoard, $outer->figure(), $at->minus($deep), $outer);
            }
            $planning->set($piece, $folds, ToolKind::ScoringBoard, $madeOf->figure(), $at, $madeOf);
        }
        $square = self::square($planning->settings(), $piece, $middle, $depth !== null);

        return new self($piece, $middle, $depth !== null, Tips::plan($planning, $piece, $square));
    }

    public function settle(Settings $settings): TurnedLayout
    {
        $square = self::square($settings, $this->piece, $this->middle, $this->isDeep);
        $slip = Length::nearestTo((2 + M_SQRT2) * Fit::handMiss()->toMillimetres());
        $marks = [
            ...$this->scores($settings, Axis::Diagonal, ['top-left' => Flap::LEFT, 'bottom-right' => Flap::RIGHT], self::SIDES, self::SIDE_FLAPS, 1),
            ...$this->scores($settings, Axis::CrossDiagonal, ['top-right' => Flap::TOP, 'bottom-left' => Flap::BOTTOM], self::ENDS, self::END_FLAPS, 3),
        ];

        return new TurnedLayout(
            $settings->of($this->piece, TurnedLayout::SHEET), $marks, $square,
            wideSlip: $slip, highSlip: $slip, lie: Lie::CornerUp, trims: $this->tips->settle($settings, $square),
        );
    }

    private static function square(Settings $settings, string $piece, Length $middle, bool $isDeep): TurnedSquare
    {
        [$sides, $ends] = [$settings->of($piece, self::SIDES)->at, $settings->of($piece, self::ENDS)->at];
        $deep = fn (Length $folds, string $flaps): float => $isDeep ? $folds->minus($settings->of($piece, $flaps)->at)->toMillimetres() : 0.0;
        [$sideDepth, $endDepth] = [$deep($sides, self::SIDE_FLAPS), $deep($ends, self::END_FLAPS)];
        ! $isDeep || min($sideDepth, $endDepth) > 0 || throw NothingLeft::of('gusset');

        return new TurnedSquare(
            $settings->of($piece, TurnedLayout::SHEET)->at->toMillimetres(),
            $middle->minus($sides)->toMillimetres() * 2, $middle->minus($ends)->toMillimetres() * 2, $sideDepth, $endDepth,
        );
    }

    /**
     * Corner by corner; with a gusset, the flap's score and then the gusset's.
     *
     * @param array<string, string> $corners flap by the corner it is read from
     * @return list<Measure>
     */
    private function scores(Settings $settings, Axis $axis, array $corners, string $folds, string $flaps, int $firstSide): array
    {
        $half = Length::nearestTo($settings->of($this->piece, TurnedLayout::SHEET)->at->toMillimetres() / M_SQRT2);
        $standoff = $this->middle->minus($half);
        $measures = [];
        $side = $firstSide;
        foreach ($corners as $corner => $flap) {
            $of = fn (string $name, string $crease): Measure => Measure::of($settings->of($this->piece, $name), MeasureKind::Score, $axis, $corner, [$crease], $side, $standoff, $this->middle);
            $this->isDeep && $measures[] = $of($flaps, $flap);
            $measures[] = $of($folds, $this->isDeep ? Flap::gusset($flap) : $flap);
            $side++;
        }

        return $measures;
    }
}
