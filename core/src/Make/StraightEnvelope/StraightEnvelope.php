<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\StraightEnvelope;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\FlatRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Arc;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\With;
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

    /** Radius of the half-round thumb notch, and the least that a thumb finds: common practice, no source. */
    private const THUMB_MM = 9.6;

    private const LEAST_THUMB_MM = 5.0;

    /** How far the top flap must reach past the notch, so that nothing shows below it; common practice, no source. */
    private const OVER_THUMB_MM = 2.0;

    private const ARC_CUTS = 16;

    /** By edge: the score there, and the edge towards which the front lies from it. */
    private const SIDES = ['left' => ['x1', 'right'], 'right' => ['x2', 'left']];

    private const ENDS = ['bottom' => ['y1', 'top'], 'top' => ['y2', 'bottom']];

    /** The front, a side flap, a flap at one end. */
    private const LAYERS = 3;

    public function id(): string
    {
        return 'straight-envelope';
    }

    public function body(): array
    {
        return [self::PIECE];
    }

    public function holds(): array
    {
        return [HeldKind::Card];
    }

    public function options(): array
    {
        return [
            Row::choice('sides', [self::TUCK, self::WRAP]),
            Row::choice('opens', [self::ABOVE, self::BESIDE]),
            Row::choice('thumbNotch', ['without', 'with']),
            Row::length('sideFlap')->lessened(3),
            Row::length('secondSideFlap')->lessened(4)->onlyWith(['sides'], self::WRAP),
            Row::length('bottomFlap')->lessened(2),
            Row::length('topFlap')->lessened(1),
            ...FlapEnd::options('topEnd'),
            ...FlapEnd::options('bottomEnd'),
            ...FlapEnd::options('sideEnds'),
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
            ...FlapEnd::chosen($request, 'topEnd'), ...FlapEnd::chosen($request, 'bottomEnd'), ...FlapEnd::chosen($request, 'sideEnds'),
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

    public function stock(): PaperKind
    {
        return PaperKind::Envelope;
    }

    public function faces(): Faces
    {
        return new Faces(isHeldByBand: true);
    }

    public function loose(Figures $figures): array
    {
        return [];
    }

    public function steps(Figures $figures): array
    {
        $request = $figures->request;
        $work = GridWork::on($figures->piece(self::PIECE));
        $glue = fn (string $flap): array => array_values(array_map(fn (Join $join) => new JoinOp($join), array_filter($this->joins($figures), fn (Join $join) => $join->glued->face === $flap)));
        $scored = $work->cutAndScore(isTried: true);

        return [
            ...$scored,
            ...self::corners($work),
            ...self::ends($work, $request),
            ...self::thumb($work, $request),
            $work->step('fold', Deed::Fold, With::BoneFolder, self::folds($work), about: [Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP]),
            $work->step('try', Deed::TryFit, null, advice: ['lay-it-in']),
            ...($glue(Flap::RIGHT) === [] ? [] : [$work->step('glue/sides', Deed::Glue, With::Tape, $glue(Flap::RIGHT))]),
            $work->step('glue/bottom', Deed::Glue, With::Tape, $glue(Flap::BOTTOM), advice: ['leave-the-top-free']),
            $work->step('fill', Deed::Fill, null),
            $work->step('close', Deed::Close, null, about: [Flap::TOP]),
        ];
    }

    /** @return list<WorkStep> the corners out, a hair inside the scores */
    private static function corners(GridWork $work): array
    {
        [$bench, $r] = [$work->bench, self::relief($work->grid)];
        $steps = [];
        foreach (self::ENDS as $end => [$y, $up]) {
            foreach (self::SIDES as $side => [$x, $in]) {
                [$upright, $level] = [$bench->beside($x, $r, $in), $bench->beside($y, $r, $up)];
                $steps[] = $work->step("corner/$end-$side", Deed::CutAway, With::Scissors, [$bench->away(
                    Waste::Corner, $bench->at($side, $end), $bench->at($upright, $end), $bench->at($upright, $y), $bench->at($x, $y), $bench->at($x, $level), $bench->at($side, $level),
                )], advice: $steps === [] ? ['a-hair-inside-the-score'] : []);
            }
        }

        return $steps;
    }

    /** @return list<WorkStep> */
    private static function ends(GridWork $work, SizingRequest $request): array
    {
        $steps = [];
        foreach (self::flapEnds($work->grid, $request) as $flap => $end) {
            $edge = explode('-', $flap)[0];
            $isSide = isset(self::SIDES[$edge]);
            $away = [];
            foreach ($isSide ? self::ENDS : self::SIDES as [$beside, $in]) {
                array_push($away, ...$end->away($work->bench, $beside, $isSide ? self::SIDES[$edge][0] : self::ENDS[$edge][0], $in, $edge));
            }
            $end->isStraight() || $steps[] = $work->step("end/$edge", $end->isRound() ? Deed::Round : Deed::CutAway, $end->isRound() ? With::CornerPunch : With::Scissors, $away, about: [$flap]);
        }

        return $steps;
    }

    /** @return list<WorkStep> a half round out of the middle of the bottom flap's end */
    private static function thumb(GridWork $work, SizingRequest $request): array
    {
        if ($request->options->choice('thumbNotch') === 'without') {
            return [];
        }
        [$bench, $r, $half] = [$work->bench, self::thumbRadius($work->grid, $request), $work->grid->columns->main()->toMillimetres() / 2];
        $from = $bench->at($bench->beside('x1', $half - $r, 'right'), 'bottom');
        $arc = new Arc($bench->at($bench->beside('x1', $half, 'right'), 'bottom'), $r, $bench->at($bench->beside('x1', $half + $r, 'right'), 'bottom'), true, self::ARC_CUTS);

        return [$work->step('thumb-notch', Deed::Round, With::Scissors, [$bench->away(Waste::Notch, $from, $arc)], about: [Flap::BOTTOM], advice: ['a-half-round-for-the-thumb'])];
    }

    /** @return list<Op> */
    private static function folds(GridWork $work): array
    {
        [$bench, $r] = [$work->bench, self::relief($work->grid)];
        $onX = fn (string $flap, string $line): FoldOp => $bench->fold($flap, Flap::FRONT, 180, $line, $bench->at($line, $bench->beside('y1', $r, 'top')), $bench->at($line, $bench->beside('y2', $r, 'bottom')));
        $onY = fn (string $flap, string $line): FoldOp => $bench->fold($flap, Flap::FRONT, 180, $line, $bench->at($line, $bench->beside('x1', $r, 'right')), $bench->at($line, $bench->beside('x2', $r, 'left')));

        return [
            $work->name(Flap::FRONT, FaceRole::Panel, 1, 1),
            $work->name(Flap::LEFT, FaceRole::Flap, 0, 1), $work->name(Flap::RIGHT, FaceRole::Flap, 2, 1),
            $work->name(Flap::BOTTOM, FaceRole::Flap, 1, 0), $work->name(Flap::TOP, FaceRole::Flap, 1, 2),
            $onX(Flap::LEFT, 'x1'), $onX(Flap::RIGHT, 'x2'), $onY(Flap::BOTTOM, 'y1'), $onY(Flap::TOP, 'y2'),
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
        $ends = self::flapEnds($grid, $request);
        [$right, $left, $up, $down] = [new Point(1, 0), new Point(-1, 0), new Point(0, 1), new Point(0, -1)];
        $thumb = array_map(fn (array $p) => new Point($p[0], $p[1]), self::thumbNotch($grid, $request));
        $builder = (new PatternBuilder)
            ->face(Flap::FRONT, $grid->cell(1, 1))
            ->face(Flap::LEFT, self::flap($ends[Flap::LEFT], new Point($x1, $y1), new Point($x1, $y2), $up, $left, $x1 - $x0), FaceRole::Flap)
            ->face(Flap::RIGHT, self::flap($ends[Flap::RIGHT], new Point($x2, $y1), new Point($x2, $y2), $up, $right, $x3 - $x2), FaceRole::Flap)
            ->face(Flap::BOTTOM, self::flap($ends[Flap::BOTTOM], new Point($x1, $y1), new Point($x2, $y1), $right, $down, $y1 - $y0, $thumb), FaceRole::Flap)
            ->face(Flap::TOP, self::flap($ends[Flap::TOP], new Point($x1, $y2), new Point($x2, $y2), $right, $up, $y3 - $y2), FaceRole::Flap)
            ->hinge(Flap::FRONT, Flap::LEFT, 180, 'x1')->hinge(Flap::FRONT, Flap::RIGHT, 180, 'x2')
            ->hinge(Flap::FRONT, Flap::BOTTOM, 180, 'y1')->hinge(Flap::FRONT, Flap::TOP, 180, 'y2')
            ->joined(self::PIECE, $this->joins($figures))
            ->layers(Flap::FRONT, Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP);

        return (abs($x1 - $x0 - ($x3 - $x2)) < Tolerance::SAME_POINT_MM ? $builder->twins(Flap::LEFT, Flap::RIGHT) : $builder)->build();
    }

    /**
     * Both corners of an end, the first from the fold out, the second back to it.
     *
     * @param Point $low where the score beside it meets its fold
     * @param Point $high the same at the fold's other end
     * @param list<Point> $between at its end
     */
    private static function flap(FlapEnd $end, Point $low, Point $high, Point $in, Point $out, float $reach, array $between = []): Polygon
    {
        return Polygon::of([...$end->outline($low, $in, $out, $reach), ...$between, ...array_reverse($end->outline($high, $in->times(-1), $out, $reach))]);
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
        [$width, $radius] = [$grid->columns->main()->toMillimetres(), self::thumbRadius($grid, $request)];
        $middle = $grid->columns->edge(1) + $width / 2;
        $arc = [];
        for ($i = 0; $i <= self::ARC_CUTS; $i++) {
            $angle = M_PI * (1 - $i / self::ARC_CUTS);
            $arc[] = [$middle + $radius * cos($angle), $i % self::ARC_CUTS === 0 ? 0.0 : $radius * sin($angle)];
        }

        return $arc;
    }

    /** On the trimmer's step, where there is room for one. */
    private static function thumbRadius(GridSheet $grid, SizingRequest $request): float
    {
        [$width, $flap] = [$grid->columns->main()->toMillimetres(), $grid->rows->width(0)->toMillimetres()];
        $covered = self::flapsOverlap($grid)->toMillimetres() - self::OVER_THUMB_MM;
        $radius = min(max(self::LEAST_THUMB_MM, min(self::THUMB_MM, $covered)), $width / 8, $flap / 2);
        // Half a circle that a punch there is gives, the largest there is room for.
        $punched = array_filter(array_map(fn (Length $circle): float => $circle->toMillimetres() / 2, $request->tools->punches->circles), fn (float $one): bool => $one >= self::LEAST_THUMB_MM && $one <= $radius + Tolerance::SAME_POINT_MM);
        if ($punched !== []) {
            return max($punched);
        }
        $onStep = $request->tools->cut->down(Length::nearestTo($radius))->toMillimetres();

        return $onStep >= min(self::LEAST_THUMB_MM, $radius / 2) ? $onStep : $radius;
    }

    private static function relief(GridSheet $grid): float
    {
        return min(self::RELIEF_MM, $grid->columns->main()->toMillimetres() / 20, $grid->rows->main()->toMillimetres() / 20);
    }

    /** @return array<string, FlapEnd> by flap */
    private static function flapEnds(GridSheet $grid, SizingRequest $request): array
    {
        [$r, $width, $height] = [self::relief($grid), $grid->columns->main()->toMillimetres(), $grid->rows->main()->toMillimetres()];
        $out = fn (GridAxis $axis, int $strip): float => $axis->width($strip)->toMillimetres();

        return [
            Flap::LEFT => FlapEnd::of($request, 'sideEnds', $r, $height, $out($grid->columns, 0)),
            Flap::RIGHT => FlapEnd::of($request, 'sideEnds', $r, $height, $out($grid->columns, 2)),
            Flap::BOTTOM => FlapEnd::of($request, 'bottomEnd', $r, $width, $out($grid->rows, 0)),
            Flap::TOP => FlapEnd::of($request, 'topEnd', $r, $width, $out($grid->rows, 2)),
        ];
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
