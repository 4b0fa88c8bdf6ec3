<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\StraightEnvelope;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Figure\Extents;
use Gimbo\Core\Figure\Figures;
use Gimbo\Core\Figure\PieceFigures;
use Gimbo\Core\Figure\Plan;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\FlatRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Make\Stock;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Setting\Axis;
use Gimbo\Core\Setting\Planning;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/**
 * An envelope from a rectangle: side flaps, a bottom flap over them, a top flap that closes.
 *
 * `tuck`: narrow sides under a bottom flap that meets the top flap. `wrap`: sides so wide that they overlap in the middle, one of
 * them wider than the other unless it is asked for, with a narrow bottom and top. It opens above what it holds, or beside it: then its
 * columns take the height. Flap lengths are common practice, no source. Formulas: docs/formulas.md, "Straight envelope".
 */
final readonly class StraightEnvelope implements Make
{
    private const PIECE = 'envelope';

    public const TUCK = 'tuck';

    public const WRAP = 'wrap';

    private const ABOVE = 'above';

    private const BESIDE = 'beside';

    /** The corners come out a hair inside the scores, so that seams lie flat. */
    private const RELIEF_MM = 0.5;

    /** How much a flap's end is narrower than its fold, on each side. */
    private const TAPER_MM = 4.0;

    /** Radius of the half-round thumb notch, and the least that a thumb finds: common practice, no source. */
    private const THUMB_MM = 9.5;

    private const LEAST_THUMB_MM = 5.0;

    /** How far the top flap must reach past the notch, so that nothing shows below it; common practice, no source. */
    private const OVER_THUMB_MM = 2.0;

    private const ARC_CUTS = 16;

    /** The front, a side flap, a flap at one end. */
    private const LAYERS = 3;

    public function id(): string
    {
        return 'straight-envelope';
    }

    public function holds(): array
    {
        return [HeldKind::Card];
    }

    public function options(): array
    {
        return [
            OptionSpec::choice('sides', [self::TUCK, self::WRAP]),
            OptionSpec::choice('opens', [self::ABOVE, self::BESIDE]),
            OptionSpec::choice('thumbNotch', ['without', 'with']),
            OptionSpec::length('sideFlap'),
            OptionSpec::length('secondSideFlap')->onlyWith(['sides'], self::WRAP),
            OptionSpec::length('bottomFlap'),
            OptionSpec::length('topFlap'),
        ];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        $isTuck = $request->options->choice('sides') === self::TUCK;
        $height = FlatRoom::needed($request, self::directions($request)[1])->figure();
        [$side, $secondSide] = $isTuck ? [null, null] : self::wrapping($request);

        return [
            'sideFlap' => $request->options->length('sideFlap') ?? $side?->figure() ?? Length::inches(5, 4),
            ...($secondSide === null ? [] : ['secondSideFlap' => $secondSide->figure()]),
            'bottomFlap' => $request->options->length('bottomFlap') ?? ($isTuck ? $height->timesNearest(1, 2) : Length::inches(1)),
            'topFlap' => $request->options->length('topFlap') ?? ($isTuck ? $height->timesNearest(1, 2)->plus(Length::inches(1, 2)) : Length::inches(3, 2)),
        ];
    }

    public function usualClearance(Item $item, System $system): Clearance
    {
        return FlatRoom::usualClearance($item);
    }

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $chosen = $this->chosenLengths($request);
        $flap = fn (string $setting, string $option): array => [Strip::atLeast($setting, MakeUp::of(new Term(TermKind::Flap, $chosen[$option])))];
        [$across, $up] = self::directions($request);
        if (self::isWrap($request)) {
            [$side, $second] = self::wrapping($request);
            $left = Strip::atLeast('sides', $side);
            $sides = [[$left], [$second->figure()->equals($side->figure()) ? $left : Strip::atLeast('second-side', $second)]];
        } else {
            $sides = [$flap('sides', 'sideFlap'), $flap('sides', 'sideFlap')];
        }
        $sheet = new GridPlan(
            AxisPlan::of($planning, self::PIECE, Axis::Width, $sides[0], FlatRoom::needed($request, $across), $sides[1]),
            AxisPlan::of($planning, self::PIECE, Axis::Height, $flap('bottom', 'bottomFlap'), FlatRoom::needed($request, $up), $flap('top', 'topFlap')),
        );

        return new Plan($request, $planning->settings(), [self::PIECE => $sheet]);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $grid = $plan->grid(self::PIECE);
        $piece = PieceFigures::ofGrid(self::PIECE, $grid);
        $t = $request->paper->caliper;
        [$width, $height] = self::isTurned($request) ? [$grid->rows->main(), $grid->columns->main()] : [$grid->columns->main(), $grid->rows->main()];
        $inside = FlatRoom::inside($request, $width, $height);
        $closed = new Extents($width->plus($t), $height->plus($t), $t->times(self::LAYERS + self::overlaps($grid))->plus($request->item->stack()));

        return new Figures($request, $plan->settings, [$piece], $inside, $closed, [...self::fits($grid, $request, $inside), ...FromPaper::fits([$piece], $request)]);
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $grid = $figures->grid($piece);
        $isTurned = self::isTurned($figures->request);
        $item = $isTurned ? $figures->request->item->face()->turned() : $figures->request->item->face();

        return new Shape(
            $this->pattern($grid, $figures),
            $grid->centredIn(1, 1, $item->width->toMillimetres(), $item->height->toMillimetres()),
            width: $isTurned ? new Point(0, 1) : new Point(1, 0),
        );
    }

    /** The sides under the bottom flap, and one over the other where they are that wide. */
    public function joins(Figures $figures): array
    {
        $under = fn (string $flap, string $over): Join => Join::under(JoinEnd::outside(self::PIECE, $flap), JoinEnd::inside(self::PIECE, $over));

        return [
            $under(Flap::LEFT, Flap::BOTTOM), $under(Flap::RIGHT, Flap::BOTTOM),
            ...(self::isWrap($figures->request) ? [$under(Flap::LEFT, Flap::RIGHT)] : []),
        ];
    }

    public function stock(): Stock
    {
        return Stock::Envelope;
    }

    public function isHeldByBand(): bool
    {
        return true;
    }

    public function steps(Figures $figures): array
    {
        $piece = $figures->piece(self::PIECE);
        $sides = [Flap::LEFT, Flap::RIGHT];
        $hasNotch = $figures->request->options->choice('thumbNotch') === 'with';
        $onto = fn (string $flap): array => array_values(array_filter($this->joins($figures), fn (Join $join) => $join->glued->face === $flap));

        return [
            ...GridWork::cutAndScore($piece, isTried: true),
            new WorkStep(Deed::CutOut, $piece->id, faces: [Flap::FRONT], advice: ['a-hair-inside-the-score']),
            new WorkStep(Deed::Taper, $piece->id, faces: [...$sides, Flap::BOTTOM, Flap::TOP]),
            new WorkStep(Deed::RoundCorners, $piece->id, faces: [Flap::TOP]),
            ...($hasNotch ? [new WorkStep(Deed::CutOut, $piece->id, faces: [Flap::BOTTOM], advice: ['a-half-round-for-the-thumb'])] : []),
            new WorkStep(Deed::Fold, $piece->id, faces: [...$sides, Flap::BOTTOM, Flap::TOP], onto: Flap::FRONT),
            new WorkStep(Deed::TryFit, $piece->id, advice: ['lay-it-in']),
            ...WorkStep::glue($piece->id, $onto(Flap::RIGHT)),
            ...WorkStep::glue($piece->id, $onto(Flap::BOTTOM), ['leave-the-top-free']),
            new WorkStep(Deed::Fill, $piece->id),
            new WorkStep(Deed::Close, $piece->id, faces: [Flap::TOP], onto: Flap::BOTTOM),
        ];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($figures->pieces),
            'flaps-overlap', 'sides-overlap', 'flaps-stay-inside', 'seam-takes-glue' => [
                new Remedy('usual-flaps', ['/options/topFlap' => null, '/options/bottomFlap' => null, '/options/sideFlap' => null, '/options/secondSideFlap' => null]),
                new Remedy('tuck-instead', ['/options' => ['sides' => self::TUCK]]),
                new Remedy('wrap-instead', ['/options' => ['sides' => self::WRAP]]),
            ],
            'thumb-notch-covered' => [new Remedy('usual-flaps', ['/options/topFlap' => null, '/options/bottomFlap' => null]), new Remedy('no-thumb-notch', ['/options/thumbNotch' => 'without'])],
            default => [],
        };
    }

    /** How many of both pairs of flaps lie on one another: each is a layer more. */
    private static function overlaps(GridSheet $grid): int
    {
        $isOver = fn (GridAxis $axis): bool => $axis->width(0)->plus($axis->width(2))->isMoreThan($axis->main());

        return (int) $isOver($grid->columns) + (int) $isOver($grid->rows);
    }

    /** @return array{Dimension, Dimension} of what it holds: what its columns take, and its rows */
    private static function directions(SizingRequest $request): array
    {
        return self::isTurned($request) ? [Dimension::Height, Dimension::Width] : [Dimension::Width, Dimension::Height];
    }

    private static function isTurned(SizingRequest $request): bool
    {
        return $request->options->choice('opens') === self::BESIDE;
    }

    /** How far the sides of a wrap lie on one another; common practice, no source. */
    private static function usualOverlap(): Length
    {
        return Length::inches(1, 2);
    }

    /**
     * The two side panels of a wrap: half of the front, and half of it and the overlap; one that was asked for says what the other takes,
     * and where only `sideFlap` was, both are alike. On a tool's steps they must still overlap, however the front between them comes out.
     *
     * @return array{MakeUp, MakeUp}
     */
    private static function wrapping(SizingRequest $request): array
    {
        [$one, $two] = [$request->options->length('sideFlap'), $request->options->length('secondSideFlap')];
        $asked = fn (Length $flap): MakeUp => MakeUp::of(new Term(TermKind::Flap, $flap));
        if ($one !== null) {
            return [$asked($one), $asked($two ?? $one)];
        }
        $needed = FlatRoom::needed($request, self::directions($request)[0])->figure();
        [$score, $cut] = [$request->tools->score, $request->tools->cut];
        // What the trimmer's step makes of the front comes out of the sheet, which the panels are part of.
        $front = $needed;
        for ($tries = 0; $tries < 8; $tries++) {
            $second = $two === null ? MakeUp::of(new Term(TermKind::HalfPanel, $front->timesNearest(1, 2), null, $front)) : $asked($two);
            $first = MakeUp::of(new Term(TermKind::HalfPanel, $two === null ? $front->timesNearest(1, 2) : $front->minus($two), null, $front), new Term(TermKind::Overlap, self::usualOverlap()));
            $panels = $score->up($first->figure())->plus($score->up($second->figure()));
            $front = $cut->up($panels->plus($needed))->minus($panels);
            if (! $panels->minus($front)->isLessThan(self::usualOverlap())) {
                break;
            }
        }
        // A second panel wider than the front leaves nothing for the first to do.
        $least = $asked($request->tools->score->size);

        return [$first->figure()->isPositive() ? $first : $least, $second];
    }

    private static function isWrap(SizingRequest $request): bool
    {
        return $request->options->choice('sides') === self::WRAP;
    }

    private function pattern(GridSheet $grid, Figures $figures): Pattern
    {
        $request = $figures->request;
        [$x0, $x1, $x2, $x3] = array_map($grid->columns->edge(...), [0, 1, 2, 3]);
        [$y0, $y1, $y2, $y3] = array_map($grid->rows->edge(...), [0, 1, 2, 3]);
        $r = min(self::RELIEF_MM, ($x2 - $x1) / 20, ($y2 - $y1) / 20);
        $taper = fn (float $flap, float $base): float => $r + min(self::TAPER_MM, $flap / 3, $base / 4);
        [$side, $other] = [$taper($x1 - $x0, $y2 - $y1), $taper($x3 - $x2, $y2 - $y1)];
        $bottom = $taper($y1 - $y0, $x2 - $x1);
        $top = $taper($y3 - $y2, $x2 - $x1);
        $builder = (new PatternBuilder)
            ->face(Flap::FRONT, $grid->cell(1, 1))
            ->face(Flap::LEFT, Polygon::at([$x1, $y1 + $r], [$x1, $y2 - $r], [$x0, $y2 - $side], [$x0, $y1 + $side]), FaceRole::Flap)
            ->face(Flap::RIGHT, Polygon::at([$x2, $y1 + $r], [$x3, $y1 + $other], [$x3, $y2 - $other], [$x2, $y2 - $r]), FaceRole::Flap)
            ->face(Flap::BOTTOM, Polygon::at([$x1 + $r, $y1], [$x1 + $bottom, $y0], ...self::thumbNotch($grid, $request), ...[[$x2 - $bottom, $y0], [$x2 - $r, $y1]]), FaceRole::Flap)
            ->face(Flap::TOP, Polygon::at([$x1 + $r, $y2], [$x2 - $r, $y2], [$x2 - $top, $y3], [$x1 + $top, $y3]), FaceRole::Flap)
            ->hinge(Flap::FRONT, Flap::LEFT, 180, 'x1')->hinge(Flap::FRONT, Flap::RIGHT, 180, 'x2')
            ->hinge(Flap::FRONT, Flap::BOTTOM, 180, 'y1')->hinge(Flap::FRONT, Flap::TOP, 180, 'y2')
            ->joined(self::PIECE, $this->joins($figures))
            ->layers(Flap::FRONT, Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP);

        return (abs($x1 - $x0 - ($x3 - $x2)) < Tolerance::SAME_POINT_MM ? $builder->twins(Flap::LEFT, Flap::RIGHT) : $builder)->build();
    }

    /**
     * A half round out of the middle of the bottom flap's end, which is the edge of the front one sees: as many short
     * cuts as make it round to the eye.
     *
     * @return list<array{float, float}>
     */
    private static function thumbNotch(GridSheet $grid, SizingRequest $request): array
    {
        if ($request->options->choice('thumbNotch') === 'without') {
            return [];
        }
        [$width, $flap] = [$grid->columns->main()->toMillimetres(), $grid->rows->width(0)->toMillimetres()];
        $covered = self::flapsOverlap($grid)->toMillimetres() - self::OVER_THUMB_MM;
        $radius = min(max(self::LEAST_THUMB_MM, min(self::THUMB_MM, $covered)), $width / 8, $flap / 2);
        $middle = $grid->columns->edge(1) + $width / 2;
        $arc = [];
        for ($i = 0; $i <= self::ARC_CUTS; $i++) {
            $angle = M_PI * (1 - $i / self::ARC_CUTS);
            $arc[] = [$middle + $radius * cos($angle), $i % self::ARC_CUTS === 0 ? 0.0 : $radius * sin($angle)];
        }

        return $arc;
    }

    private static function flapsOverlap(GridSheet $grid): Length
    {
        return $grid->rows->width(0)->plus($grid->rows->width(2))->minus($grid->rows->main());
    }

    /** @return list<Fit> that the top flap covers a thumb notch, where there is one */
    private static function thumbCovered(GridSheet $grid, SizingRequest $request): array
    {
        $need = Length::nearestTo(self::LEAST_THUMB_MM + self::OVER_THUMB_MM);

        return $request->options->choice('thumbNotch') === 'without' ? [] : [Fit::plain('thumb-notch-covered', $need, self::flapsOverlap($grid), $need, Length::zero())];
    }

    /** @return list<Fit> the needs of flaps and seams are common practice, no source */
    private static function fits(GridSheet $grid, SizingRequest $request, Extents $inside): array
    {
        [$side, , $otherSide] = $grid->columns->widths;
        [$bottom, , $top] = $grid->rows->widths;
        [$width, $height] = [$grid->columns->main(), $grid->rows->main()];
        $miss = Fit::handMiss();
        $isTuck = $request->options->choice('sides') === self::TUCK;
        $room = Length::min($width->minus(Length::max($side, $otherSide)), $height->minus(Length::max($bottom, $top)));

        return [
            FlatRoom::fit($request, Dimension::Width, $inside->width, $miss->times(3)),
            FlatRoom::fit($request, Dimension::Height, $inside->height, $miss->times(3)),
            $isTuck
                ? Fit::plain('flaps-overlap', Length::inches(1, 4), $top->plus($bottom)->minus($height), Length::zero(), $miss->times(2))
                : Fit::plain('sides-overlap', self::usualOverlap(), $side->plus($otherSide)->minus($width), Length::inches(1, 4), $miss->times(2)),
            Fit::plain('seam-takes-glue', Length::inches(3, 8), Length::min($side, $otherSide, $bottom), Length::inches(1, 4), $miss),
            Fit::plain('flaps-stay-inside', Length::zero(), $room, Length::zero(), $miss),
            ...self::thumbCovered($grid, $request),
        ];
    }
}
