<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Closure;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Tool\ToolKind;

/**
 * On a scoring board, corner up: a flap's height from each corner, the same from opposite corners.
 *
 * The sheet's diagonal lies on the middle groove, the first at or just past half the diagonal, so every reading is the
 * distance from the corner plus that small difference. Counted from the middle groove both folds of a face lie half the face
 * away, and the flaps take what is left. The face is rounded up to the board's step: where that is an even number of steps its
 * halves are alike and opposite corners share one setting, else one half is a step larger, and its fold is a setting of its
 * own, read on from the same corner without turning the sheet, or from its own corner where the board does not reach so far.
 * The middle groove is chosen when it is planned, and stays whatever the sheet was cut to.
 */
final readonly class ScoredSquare implements SheetPlan
{
    private const SIDES = 'sides';

    private const ENDS = 'ends';

    /** The other fold's setting, where a face's halves are not alike. */
    private const SECOND = [self::SIDES => 'second-side', self::ENDS => 'second-end'];

    private const FLAPS = [self::SIDES => 'side-flaps', self::ENDS => 'end-flaps'];

    private const SECOND_FLAP = [self::SIDES => 'second-side-flap', self::ENDS => 'second-end-flap'];

    /** By the corner each is read from: the flap whose fold comes first, and the one across the face. */
    private const CORNERS = [
        self::SIDES => ['top-left' => Flap::LEFT, 'bottom-right' => Flap::RIGHT],
        self::ENDS => ['top-right' => Flap::TOP, 'bottom-left' => Flap::BOTTOM],
    ];

    /** @param array<string, HalfFold> $halves how the folds across each diagonal lie, by the name of their first setting */
    private function __construct(private string $piece, private Length $middle, private bool $isDeep, private array $halves, private Tips $tips)
    {
    }

    /** A corner's seam must take at least half a line of glue or tape on each of the two flaps; common practice, no source. */
    public static function leastSeam(): Length
    {
        return Length::inches(3, 16);
    }

    /**
     * @param Length $seam how far the corners of the face lie inside the sheet's edge, between the two of a side
     * @param ?MakeUp $depth of a gusset all round, if there is one
     * @param ?TipChoice $tips none where its tips lose only what they must
     */
    public static function plan(Planning $planning, string $piece, MakeUp $wide, MakeUp $high, Length $seam, ?MakeUp $depth = null, ?TipChoice $tips = null): self
    {
        $tools = $planning->tools;
        $score = self::scale($tools->score, $wide, $high, $depth);
        $faces = [self::SIDES => $wide, self::ENDS => $high];
        $whole = array_map(fn (MakeUp $face) => $score->up($face->figure()), $faces);
        // Of one step there is no smaller half.
        $smaller = array_map(fn (Length $face) => Length::max($score->down($face->timesNearest(1, 2)), $score->size), $whole);
        $larger = array_map(fn (string $folds) => Length::max($whole[$folds]->minus($smaller[$folds]), $smaller[$folds]), array_combine(array_keys($whole), array_keys($whole)));
        $deep = $score->up($depth?->figure() ?? Length::zero());
        $exactDiagonal = $wide->figure()->plus($high->figure(), ($depth?->figure() ?? Length::zero())->times(2));
        $exact = Length::atLeast($exactDiagonal->toMillimetres() / M_SQRT2)->plus($seam->times(2));
        $sideFor = fn (Length $diagonal, Length $seam): Length => $tools->cut->up(Length::atLeast($diagonal->toMillimetres() / M_SQRT2)->plus($seam->times(2)));
        // Off the middle one corner's seam is less than the other's; it must still take glue, or as much as was asked for.
        $side = Length::max(
            $sideFor($whole[self::SIDES]->plus($whole[self::ENDS], $deep->times(2)), $seam),
            $sideFor($larger[self::SIDES]->plus($larger[self::ENDS], $deep)->times(2), Length::min($seam, self::leastSeam())),
        );

        $across = 1 / M_SQRT2;
        $side = $planning->set(
            $piece, TurnedLayout::SHEET, ToolKind::Trimmer, $exact, $side,
            $wide->share($across)->and($high->share($across))->and($depth?->share(M_SQRT2) ?? MakeUp::of())->plus(new Term(TermKind::Seam, $seam->times(2))),
        )->at;
        $half = Length::nearestTo($side->toMillimetres() / M_SQRT2);
        $middle = $score->up($half);
        $halves = [];
        foreach ($faces as $folds => $face) {
            $second = $halves[$folds] = self::second($planning, $smaller[$folds], $larger[$folds], $middle->plus($larger[$folds], $deep));
            self::set($planning, $piece, $folds, self::FLAPS[$folds], $half, $middle, $face, $smaller[$folds], $depth, $deep, false);
            $second === HalfFold::Alike || self::set($planning, $piece, self::SECOND[$folds], self::SECOND_FLAP[$folds], $half, $middle, $face, $larger[$folds], $depth, $deep, $second === HalfFold::ReadOn);
        }
        $square = self::square($planning->settings(), $piece, $middle, $depth !== null, $halves);

        return new self($piece, $middle, $depth !== null, $halves, Tips::plan($planning, $piece, $square, $tips ?? TipChoice::none()));
    }

    /** @param Length $furthest the furthest reading if both folds are read from one corner */
    private static function second(Planning $planning, Length $smaller, Length $larger, Length $furthest): HalfFold
    {
        $reach = $planning->tools->reachOf(ToolKind::ScoringBoard);

        return match (true) {
            $smaller->equals($larger) => HalfFold::Alike,
            $reach !== null && $furthest->isMoreThan($reach) => HalfFold::Turned,
            default => HalfFold::ReadOn,
        };
    }

    /** One fold of a face, and with a gusset the one beyond it: counted from the middle groove towards the corner, or away from it. */
    private static function set(
        Planning $planning, string $piece, string $folds, string $flaps, Length $half, Length $middle, MakeUp $face, Length $halfFace, ?MakeUp $depth, Length $deep, bool $isBeyond,
    ): void {
        $way = $isBeyond ? 1 : -1;
        $madeOf = MakeUp::of(new Term(TermKind::HalfDiagonal, $half))->and($face->share($way / 2))->plus(new Term(TermKind::Groove, $middle->minus($half)));
        $at = $middle->plus($halfFace->times($way));
        if ($depth !== null) {
            $outer = $madeOf->roundedTo($at)->and($depth->share($way)->roundedTo($deep->times($way)));
            $planning->set($piece, $flaps, ToolKind::ScoringBoard, $outer->figure(), $at->plus($deep->times($way)), $outer);
        }
        $planning->set($piece, $folds, ToolKind::ScoringBoard, $madeOf->figure(), $at, $madeOf);
    }

    /** All readings of a square are on one scale: where the board has two, on the one that makes less of the face. */
    private static function scale(Step $score, MakeUp $wide, MakeUp $high, ?MakeUp $depth): Step
    {
        $scales = $score->scales();
        $diagonal = fn (Step $scale): int => $scale->up($wide->figure())->plus($scale->up($high->figure()), $scale->up($depth?->figure() ?? Length::zero())->times(2))->ticks;
        usort($scales, fn (Step $a, Step $b) => $diagonal($a) <=> $diagonal($b));

        return $scales[0];
    }

    public function settle(Settings $settings): TurnedLayout
    {
        $square = self::square($settings, $this->piece, $this->middle, $this->isDeep, $this->halves);
        $slip = Length::nearestTo((2 + M_SQRT2) * Fit::handMiss()->toMillimetres());
        $marks = [...$this->scores($settings, self::SIDES, Axis::Diagonal, 1), ...$this->scores($settings, self::ENDS, Axis::CrossDiagonal, 3)];

        return new TurnedLayout(
            $settings->of($this->piece, TurnedLayout::SHEET), $marks, $square,
            wideSlip: $slip, highSlip: $slip, lie: Lie::CornerUp, trims: $this->tips->settle($settings, $square), isTopTurnedIn: $this->tips->isTurnedIn(),
        );
    }

    /** @param array<string, HalfFold> $halves */
    private static function square(Settings $settings, string $piece, Length $middle, bool $isDeep, array $halves): TurnedSquare
    {
        $from = function (string $folds, string $second) use ($settings, $piece, $middle, $halves): array {
            $first = $middle->minus($settings->of($piece, $folds)->at);

            return match ($halves[$folds]) {
                HalfFold::Alike => [$first, $first],
                HalfFold::Turned => [$first, $middle->minus($settings->of($piece, $second)->at)],
                HalfFold::ReadOn => [$first, $settings->of($piece, $second)->at->minus($middle)],
            };
        };
        [$left, $right] = $from(self::SIDES, self::SECOND[self::SIDES]);
        [$top, $bottom] = $from(self::ENDS, self::SECOND[self::ENDS]);
        $off = fn (Length $far, Length $near): float => $far->minus($near)->toMillimetres() / 2;

        return new TurnedSquare(
            $settings->of($piece, TurnedLayout::SHEET)->at->toMillimetres(),
            $left->plus($right)->toMillimetres(), $bottom->plus($top)->toMillimetres(),
            $isDeep ? [...self::depths($settings, $piece, self::SIDES, $halves), ...self::depths($settings, $piece, self::ENDS, $halves)] : [],
            $off($right, $left), $off($top, $bottom),
        );
    }

    /**
     * @param array<string, HalfFold> $halves
     * @return array<string, float> how deep the gussets on both sides of a face are, by flap
     */
    private static function depths(Settings $settings, string $piece, string $folds, array $halves): array
    {
        $between = fn (string $fold, string $flap): float => abs($settings->of($piece, $fold)->at->minus($settings->of($piece, $flap)->at)->toMillimetres());
        $isOrdered = fn (string $fold, string $flap, int $way): bool => $settings->of($piece, $flap)->at->minus($settings->of($piece, $fold)->at)->times($way)->isPositive();
        [$first, $second] = array_values(self::CORNERS[$folds]);
        $isOrdered($folds, self::FLAPS[$folds], -1) || throw NothingLeft::of('gusset');
        $depth = $between($folds, self::FLAPS[$folds]);
        if ($halves[$folds] === HalfFold::Alike) {
            return [$first => $depth, $second => $depth];
        }
        $isOrdered(self::SECOND[$folds], self::SECOND_FLAP[$folds], $halves[$folds] === HalfFold::ReadOn ? 1 : -1) || throw NothingLeft::of('gusset');

        return [$first => $depth, $second => $between(self::SECOND[$folds], self::SECOND_FLAP[$folds])];
    }

    /**
     * Corner by corner; with a gusset, the flap's score and then the gusset's, and the other way round beyond the middle.
     *
     * @return list<Measure>
     */
    private function scores(Settings $settings, string $folds, Axis $axis, int $firstSide): array
    {
        $half = Length::nearestTo($settings->of($this->piece, TurnedLayout::SHEET)->at->toMillimetres() / M_SQRT2);
        $standoff = $this->middle->minus($half);
        $at = fn (string $corner, int $side): Closure => fn (string $name, string $crease): Measure => Measure::of(
            $settings->of($this->piece, $name), MeasureKind::Score, $axis, $corner, [$crease], $side, $standoff, $this->middle,
        );
        $isReadOn = $this->halves[$folds] === HalfFold::ReadOn;
        $isAlike = $this->halves[$folds] === HalfFold::Alike;
        [$firstCorner, $secondCorner] = array_keys(self::CORNERS[$folds]);
        [$first, $second] = array_values(self::CORNERS[$folds]);
        $near = $this->fold($at($firstCorner, $firstSide), $folds, self::FLAPS[$folds], $first);
        $far = $this->fold(
            $isReadOn ? $at($firstCorner, $firstSide) : $at($secondCorner, $firstSide + 1),
            $isAlike ? $folds : self::SECOND[$folds], $isAlike ? self::FLAPS[$folds] : self::SECOND_FLAP[$folds], $second,
        );

        return [...$near, ...($isReadOn ? array_reverse($far) : $far)];
    }

    /**
     * The score beyond the gusset, if there is one, and the face's own.
     *
     * @param Closure(string, string): Measure $measure of a setting and the crease it makes
     * @return list<Measure>
     */
    private function fold(Closure $measure, string $fold, string $flaps, string $flap): array
    {
        return $this->isDeep ? [$measure($flaps, $flap), $measure($fold, Flap::gusset($flap))] : [$measure($fold, $flap)];
    }
}
