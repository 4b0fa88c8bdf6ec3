<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\NoteWallet;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
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
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\BoxRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Make\Shared\RoundedCorner;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Capacity;
use Gimbo\Core\Settle\CapacityKind;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/**
 * A cover with a spine and a pocket on both sides, corner gussets and a strap that comes round the closed wallet.
 *
 * Columns pocket | spine | pocket; rows pocket flap | gusset | cover. Formulas: docs/formulas.md, "Note-card wallet".
 */
final readonly class NoteWallet implements Make
{
    private const COVER = 'cover';

    /** In width, the side strip at the outer edge and what the spine's fold takes: rounded up to whole calipers. */
    private const CALIPERS_WIDE = 2;

    /** In height, what the fold of the gusset takes, rounded up. */
    private const CALIPERS_HIGH = 1;

    private const POCKETS = 2;

    private const GUSSET = 'corner-gusset';

    private const STRAP = 'strap';

    public function id(): string
    {
        return 'note-wallet';
    }

    public function body(): array
    {
        return [self::COVER];
    }

    public function holds(): array
    {
        return [HeldKind::Set];
    }

    public function options(): array
    {
        return [Row::count('perPocket', 1, 500, fn (Circumstances $in) => intdiv(($in->item->count ?? 1) + 1, 2)), Row::length('pocketHeight')->lessened(10), Row::length('gusset')->lessened(11)];
    }

    /** Pockets 2 in high, on low covers two thirds of what stands in them; tabs of 1/2 in: common practice, no source. */
    public function chosenLengths(SizingRequest $request): array
    {
        return [
            'pocketHeight' => $request->options->length('pocketHeight') ?? Length::min(Length::inches(2), $request->item->height->timesNearest(2, 3)),
            'gusset' => $request->options->length('gusset') ?? self::gusset($request)->figure(),
        ];
    }

    /** A note-card envelope in a pocket, which gives: what one takes of its gusset has its room in it. Common practice, no source. */
    public function usualClearance(Item $item, System $system): Clearance
    {
        return new Clearance(Length::inches(1, 4), Length::inches(1, 8), Length::zero());
    }

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $chosen = $this->chosenLengths($request);
        $gusset = $request->options->length('gusset') === null ? self::gusset($request) : MakeUp::of(new Term(TermKind::Depth, $chosen['gusset']));
        $pockets = [Strip::atLeast('pockets', BoxRoom::needed($request, Dimension::Width, self::CALIPERS_WIDE))];
        $flap = [Strip::atLeast('pocket-flaps', self::flap($chosen['pocketHeight']))];
        $rows = AxisPlan::of($planning, self::COVER, Axis::Height, $flap, $gusset, [Strip::atLeast('covers', BoxRoom::needed($request, Dimension::Height, self::CALIPERS_HIGH))]);
        // Gusset and flap as they will really be, before the columns are planned.
        $real = $rows->settle($planning->settings());
        $spine = MakeUp::of(new Term(TermKind::Gusset, $real->main()->times(2)), new Term(TermKind::Paper, $request->paper->caliper));
        $columns = AxisPlan::of($planning, self::COVER, Axis::Width, $pockets, $spine, $pockets);
        $cover = $columns->settle($planning->settings())->width(0);

        $sheets = [
            self::COVER => new GridPlan($columns, $rows),
            self::GUSSET => self::cornerGusset($planning, $real->main(), $real->width(0)),
            self::STRAP => self::strap($planning, $cover, $real->width(2), self::thick($columns->settle($planning->settings()), $request)),
        ];

        return new Plan($request, $planning->settings(), $sheets);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $cover = $plan->grid(self::COVER);
        [$columns, $rows] = [$cover->columns, $cover->rows];
        $pieces = [
            PieceFigures::ofGrid(self::COVER, $cover),
            PieceFigures::ofGrid(self::GUSSET, $plan->grid(self::GUSSET), count: 2),
            PieceFigures::ofGrid(self::STRAP, $plan->grid(self::STRAP)),
        ];
        $t = $request->paper->caliper;
        $room = new Extents(
            $columns->width(0)->minus($t->times(self::CALIPERS_WIDE)), $rows->width(2)->minus($t->times(self::CALIPERS_HIGH)),
            $rows->main(),
        );
        $inPocket = self::inPocket($request, $request->options->count('perPocket'));
        [$width, $height] = BoxRoom::fits($request, $room, Fit::handMiss());

        return new Figures($request, $plan->settings, $pieces, $room, new Extents($columns->width(0)->plus($t), $rows->width(2)->plus($t), $columns->main()->plus($t)), [
            $width, $height,
            new Fit('stack-fits-gusset', self::gusset($request)->figure(), $room->depth, $inPocket, Length::zero(), self::gusset($request)),
            ...self::holdsAll($request, $room->depth),
            Fit::plain('pocket-inside-cover', $rows->width(0), $rows->width(2), $rows->width(0), Length::zero()),
            Fit::plain('spine-takes-both-pockets', $rows->main()->times(2)->plus($t), $columns->main(), $rows->main()->times(2)->plus($t), Fit::handMiss()),
            Fit::plain('strap-reaches-front', self::strapReach(), self::overFront($plan->grid(self::STRAP), self::thick($columns, $request)), self::strapReach()->timesNearest(1, 2), Fit::handMiss()),
            ...FromPaper::fits($pieces, $request),
        ], self::standIn($request, $room->depth, self::each($request->item)) * self::POCKETS, self::capacities($request, $room->depth));
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $grid = $figures->grid($piece);
        $item = $figures->request->item;

        return match ($piece) {
            self::COVER => new Shape(self::cover($grid, self::notchOut($grid, $figures->request)), $grid->centredIn(0, 2, $item->width->toMillimetres(), $item->height->toMillimetres())),
            self::GUSSET => new Shape(self::sideStrip($grid)),
            default => new Shape(self::strapPattern($grid, self::strapRadius($grid, $figures->request))),
        };
    }

    /** Each side strip between the outer edge of a pocket and its cover; the strap on the back. */
    public function joins(Figures $figures): array
    {
        $joins = [];
        foreach (['left', 'right'] as $n => $side) {
            $joins[] = Join::of(JoinEnd::outside(self::GUSSET, 'left-tab', $n + 1), JoinEnd::inside(self::COVER, "$side-pocket"));
            $joins[] = Join::of(JoinEnd::outside(self::GUSSET, 'right-tab', $n + 1), JoinEnd::inside(self::COVER, "$side-cover"));
        }

        return [...$joins, Join::of(JoinEnd::inside(self::STRAP, 'strap'), JoinEnd::outside(self::COVER, 'right-cover'))];
    }

    public function stock(): PaperKind
    {
        return PaperKind::Card;
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
        [$cover, $strip, $strap] = array_map(fn (string $piece) => GridWork::on($figures->piece($piece)), [self::COVER, self::GUSSET, self::STRAP]);
        $joins = fn (string $piece): array => array_values(array_filter($this->joins($figures), fn (Join $join) => $join->face->piece === $piece));

        return [
            ...$cover->cutAndScore(),
            self::notch($cover, $request),
            self::foldCover($cover),
            $cover->step('try', Deed::TryFit, null, advice: ['lay-it-in']),
            ...$strip->cutAndScore(),
            self::foldStrip($strip),
            ...array_map(fn (string $side) => $strip->step("glue/$side", Deed::Glue, With::WetGlue, array_map(
                fn (Join $join) => new JoinOp($join, meet: self::meetOfStrip($join, $strip, $cover)),
                array_values(array_filter($joins(self::GUSSET), fn (Join $join) => str_starts_with($join->onto->face, $side))),
            ), advice: ['strong-tape-or-wet-glue']), ['left', 'right']),
            ...$strap->cutAndScore(),
            ...self::roundStrap($strap, $request),
            self::foldStrap($strap),
            $strap->step('glue', Deed::Glue, With::Tape, array_map(fn (Join $join) => new JoinOp($join, meet: self::meetOfStrap($strap, $cover)), $joins(self::STRAP)), advice: ['dot-as-a-closed-pair']),
            $cover->step('fill', Deed::Fill, null),
            $cover->step('close', Deed::Close, null, about: self::hasSide($strap->grid) ? ['strap-side', 'strap-flap'] : ['strap-flap']),
        ];
    }

    /** How far beyond the spine's scores the notch begins at the edge: with a spine of 1/2 in two marks 1 in apart. Common practice, no source. */
    private static function notchOut(GridSheet $grid, SizingRequest $request): float
    {
        $cut = $request->tools->cut;
        $usual = Length::max($cut->nearest(Length::inches(1, 4)), $cut->size);

        return Length::min($usual, $grid->columns->width(0)->timesNearest(1, 4), $grid->columns->width(2)->timesNearest(1, 4))->toMillimetres();
    }

    /** Out of the pocket strip at the spine, slanted in to where its scores end at the gusset. */
    private static function notch(GridWork $work, SizingRequest $request): WorkStep
    {
        $bench = $work->bench;
        $out = self::notchOut($work->grid, $request);
        $cuts = $ring = [];
        foreach (['left' => 'x1', 'right' => 'x2'] as $side => $x) {
            $ends = [$bench->at($bench->beside($x, $out, $side), 'bottom'), $bench->at($x, 'y2')];
            $cuts[] = $bench->draw(LineKind::Cut, "notch-$side", Line::between(...$ends), ...$ends);
            array_push($ring, ...($side === 'left' ? $ends : array_reverse($ends)));
        }

        return $work->step('notch', Deed::CutAway, With::Scissors, [...$cuts, $bench->away(Waste::Notch, ...$ring)], about: ['spine']);
    }

    private static function foldCover(GridWork $work): WorkStep
    {
        $bench = $work->bench;
        $names = [$work->name('left-cover', FaceRole::Cover, 0, 2), $work->name('spine', FaceRole::Panel, 1, 2), $work->name('right-cover', FaceRole::Cover, 2, 2)];
        $folds = [];
        foreach (['left' => [0, 'left'], 'right' => [2, 'right']] as $side => [$column, $edge]) {
            array_push($names, $work->name("$side-gusset", FaceRole::Gusset, $column, 1), $work->name("$side-pocket", FaceRole::Pocket, $column, 0));
            $folds[] = $work->foldOnY("$side-gusset", "$side-cover", 90, 'y2', $column);
            $folds[] = $bench->fold("$side-pocket", "$side-gusset", 90, 'y1', $bench->at('y1', $edge), $bench->at('y1', "notch-$side"));
        }

        return $work->step('fold', Deed::Fold, With::BoneFolder, [
            ...$names, ...$folds, $work->foldOnX('spine', 'left-cover', 90, 'x1', 2), $work->foldOnX('right-cover', 'spine', 90, 'x2', 2),
        ], about: ['left-gusset', 'left-pocket', 'right-gusset', 'right-pocket', 'spine']);
    }

    private static function foldStrip(GridWork $work): WorkStep
    {
        return $work->step('fold', Deed::Fold, With::BoneFolder, [
            $work->name('side', FaceRole::Gusset, 1, 0), $work->name('left-tab', FaceRole::Tab, 0, 0), $work->name('right-tab', FaceRole::Tab, 2, 0),
            $work->foldOnX('left-tab', 'side', 90, 'x1', 0), $work->foldOnX('right-tab', 'side', 90, 'x2', 0),
        ]);
    }

    private static function foldStrap(GridWork $work): WorkStep
    {
        $bench = $work->bench;
        $names = [$work->name('strap', FaceRole::Panel, 0, 0)];
        if (! self::hasSide($work->grid)) {
            return $work->step('fold', Deed::Fold, With::BoneFolder, [...$names, $bench->name('strap-flap', FaceRole::Flap, $work->grid->columns->edge(1) + $work->grid->columns->width(1)->toMillimetres() / 4, $bench->height / 2), $work->foldOnX('strap-flap', 'strap', 90, 'x1', 0)]);
        }

        return $work->step('fold', Deed::Fold, With::BoneFolder, [
            ...$names, $work->name('strap-side', FaceRole::Gusset, 1, 0), $work->name('strap-flap', FaceRole::Flap, 2, 0),
            $work->foldOnX('strap-side', 'strap', 90, 'x1', 0), $work->foldOnX('strap-flap', 'strap-side', 90, 'x2', 0),
        ]);
    }

    private static function strapRadius(GridSheet $grid, SizingRequest $request): float
    {
        $last = $grid->columns->widths[count($grid->columns->widths) - 1];

        return RoundedCorner::radius($request, min($last->toMillimetres(), $grid->rows->total->toMillimetres() / 2));
    }

    /** @return list<WorkStep> */
    private static function roundStrap(GridWork $work, SizingRequest $request): array
    {
        $radius = self::strapRadius($work->grid, $request);
        $away = fn (string $level): AwayOp => RoundedCorner::away($work->bench, 'right', $level, $radius);

        return $radius > 0.0 ? [$work->step('round', Deed::Round, With::CornerPunch, [$away('bottom'), $away('top')], about: ['strap-flap'])] : [];
    }

    /**
     * A tab of a side strip lies along the outer edge of a pocket, or of its cover, from the gusset's score on.
     *
     * @return list<array{Spot, Spot}>
     */
    private static function meetOfStrip(Join $join, GridWork $strip, GridWork $cover): array
    {
        $isPocket = $join->face->face === 'left-tab';
        [$side] = explode('-', $join->onto->face);
        $x = $isPocket ? 'x1' : 'x2';
        $high = $strip->bench->height;
        // The left pocket's strip stands with its lower end on the gusset, the right one's with its upper end.
        [$low, $top] = $side === 'left' ? ['top', 'bottom'] : ['bottom', 'top'];

        return [
            [$strip->bench->at($x, $low), $cover->bench->at($side, $isPocket ? 'y1' : 'y2')],
            [$strip->bench->at($x, $top), $cover->bench->at($side, $isPocket ? $cover->bench->beside('y1', $high, 'bottom') : $cover->bench->beside('y2', $high, 'top'))],
        ];
    }

    /**
     * In the middle of the back cover's height, its fold flush with the outer edge.
     *
     * @return list<array{Spot, Spot}>
     */
    private static function meetOfStrap(GridWork $strap, GridWork $cover): array
    {
        $middle = $cover->grid->rows->width(2)->toMillimetres() / 2;
        $half = $strap->bench->height / 2;
        $at = fn (float $up): Spot => $cover->bench->at('right', $cover->bench->beside('y2', $middle + $up, 'top'));

        return [[$strap->bench->at('x1', 'bottom'), $at(-$half)], [$strap->bench->at('x1', 'top'), $at($half)]];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($figures->pieces),
            'stack-fits-gusset' => [new Remedy('gusset-from-contents', ['/options/gusset' => null])],
            'set-fits-pockets' => [
                new Remedy('pockets-for-all', ['/options/perPocket' => null, '/options/gusset' => null]),
                new Remedy('as-many-as-pockets-hold', ['/holds/count' => $figures->request->options->count('perPocket') * self::POCKETS]),
            ],
            'pocket-inside-cover' => [new Remedy('usual-pocket', ['/options/pocketHeight' => null])],
            default => [],
        };
    }

    /**
     * What one takes of a pocket's gusset, its loft in it. What was measured is taken at its word; what is reckoned from layers takes no
     * less than such cards do: 1/8 in in a lined envelope, 1/12 in an unlined one (common practice, no source).
     */
    private static function each(Item $item): Length
    {
        $layers = $item->layers;

        return match (true) {
            $layers === null || $layers->envelope->isZero() => $item->thickness,
            $layers->liner->isZero() => Length::max(self::unlined(), $item->thickness),
            default => Length::max(self::lined(), $item->thickness),
        };
    }

    private static function lined(): Length
    {
        return Length::inches(1, 8);
    }

    private static function unlined(): Length
    {
        return Length::inches(1, 12);
    }

    private static function inPocket(SizingRequest $request, int $count): Length
    {
        return self::each($request->item)->times($count);
    }

    private static function gusset(SizingRequest $request): MakeUp
    {
        return MakeUp::of(
            new Term(TermKind::Thickness, self::inPocket($request, $request->options->count('perPocket')), Dimension::Depth),
            new Term(TermKind::Clearance, $request->clearance->depth, Dimension::Depth),
        );
    }

    /** How many of a thickness stand in one pocket. */
    private static function standIn(SizingRequest $request, Length $gusset, Length $each): int
    {
        return max(0, intdiv($gusset->minus($request->clearance->depth)->ticks, $each->ticks));
    }

    /** @return list<Capacity> */
    private static function capacities(SizingRequest $request, Length $gusset): array
    {
        $of = fn (CapacityKind $kind, Length $each): Capacity => Capacity::of($kind, self::standIn($request, $gusset, $each), self::POCKETS);
        $layers = $request->item->layers;

        return [
            $of(CapacityKind::AsAsked, self::each($request->item)), $of(CapacityKind::Lined, self::lined()), $of(CapacityKind::Unlined, self::unlined()),
            ...($layers === null || $layers->envelope->isZero() ? [] : [$of(CapacityKind::Bare, $layers->bare())]),
        ];
    }

    /** @return list<Fit> that both pockets hold the whole set, where fewer are to stand in one than half of it */
    private static function holdsAll(SizingRequest $request, Length $gusset): array
    {
        $half = intdiv($request->item->count + 1, self::POCKETS);
        if ($request->options->count('perPocket') >= $half) {
            return [];
        }
        $need = self::inPocket($request, $half);

        return [Fit::plain('set-fits-pockets', $need->plus($request->clearance->depth), $gusset, $need, Length::zero())];
    }

    /** How thick it is closed. */
    private static function thick(GridAxis $columns, SizingRequest $request): Length
    {
        return $columns->main()->plus($request->paper->caliper);
    }

    /** Spine first, it lies on the table; the pocket flaps are notched away at the spine so that they fold with it. */
    private static function cover(GridSheet $grid, float $out): Pattern
    {
        $builder = (new PatternBuilder)->face('left-cover', $grid->cell(0, 2), FaceRole::Cover)
            ->face('spine', $grid->cell(1, 2))->hinge('left-cover', 'spine', 90, 'x1')
            ->face('right-cover', $grid->cell(2, 2), FaceRole::Cover)->hinge('spine', 'right-cover', 90, 'x2');
        foreach (['left' => 0, 'right' => 2] as $side => $column) {
            [$edge, $spine, $way] = $side === 'left' ? [0.0, $grid->columns->edge(1), -1] : [$grid->columns->edge(3), $grid->columns->edge(2), 1];
            [$low, $high] = [$grid->rows->edge(1), $grid->rows->edge(2)];
            $there = $spine + $way * $out * (1 - $low / $high);
            $builder->face("$side-gusset", Polygon::at([$edge, $low], [$there, $low], [$spine, $high], [$edge, $high]), FaceRole::Gusset)->hinge("$side-cover", "$side-gusset", 90, 'y2')
                ->face("$side-pocket", Polygon::at([$edge, 0.0], [$spine + $way * $out, 0.0], [$there, $low], [$edge, $low]), FaceRole::Pocket)->hinge("$side-gusset", "$side-pocket", 90, 'y1');
        }

        return $builder->twins('left-cover', 'right-cover')->twins('left-gusset', 'right-gusset')->twins('left-pocket', 'right-pocket')->build();
    }

    private static function flap(Length $length): MakeUp
    {
        return MakeUp::of(new Term(TermKind::Flap, $length));
    }

    /** A strip that closes a pocket's outer side: tab, gusset, tab. */
    private static function cornerGusset(Planning $planning, Length $gusset, Length $pocket): GridPlan
    {
        $tab = Length::inches(1, 2);
        $tabs = [Strip::atLeast('tabs', self::flap($tab))];
        // As wide as the cover's gusset, not a step wider so that it is read on, wherever the trimmer has that.
        $hasIt = $planning->tools->cut->divides($planning->score()->up($tab)->times(2)->plus($gusset));

        return new GridPlan(
            AxisPlan::of($planning, self::GUSSET, Axis::Width, $tabs, MakeUp::of(new Term(TermKind::Gusset, $gusset)), $tabs, isContained: $hasIt),
            AxisPlan::of($planning, self::GUSSET, Axis::Height, [], self::flap($pocket), [], isContained: true),
        );
    }

    private static function sideStrip(GridSheet $grid): Pattern
    {
        return (new PatternBuilder)->face('side', $grid->cell(1, 0), FaceRole::Gusset)
            ->face('left-tab', $grid->cell(0, 0), FaceRole::Tab)->hinge('side', 'left-tab', 90, 'x1')
            ->face('right-tab', $grid->cell(2, 0), FaceRole::Tab)->hinge('side', 'right-tab', 90, 'x2')
            ->twins('left-tab', 'right-tab')->build();
    }

    /** How far the strap's end must lie on the front, so that a dot holds it there. Common practice, no source. */
    private static function strapReach(): Length
    {
        return Length::inches(1, 2);
    }

    /**
     * Its body on the back cover, its end round the closed wallet and on over the front: with the body as long as the cover is wide. Up to
     * 1/2 in thick the end is one piece of 1 in, folded at one score; beyond, a side as wide as the wallet is thick and 1 in beyond it. Common
     * practice, no source.
     */
    private static function strap(Planning $planning, Length $cover, Length $high, Length $thick): GridPlan
    {
        $isThin = ! $thick->isMoreThan(Length::inches(1, 2));
        $over = Length::min(Length::inches(1), $cover->timesNearest(2, 3));
        // From the outer end inwards.
        $after = $isThin
            ? [Strip::atLeast('strap-flap', self::flap(Length::max($over, $thick->plus(self::strapReach()))))]
            : [Strip::atLeast('strap-flap', self::flap($over)), Strip::atLeast('strap-side', MakeUp::of(new Term(TermKind::Thickness, $thick, Dimension::Depth)))];
        $body = $cover->minus($planning->score()->up($after[0]->need->figure()));

        return new GridPlan(
            AxisPlan::of($planning, self::STRAP, Axis::Width, [], MakeUp::of(new Term(TermKind::Face, Length::max($body, $cover->timesNearest(1, 2)))), $after),
            AxisPlan::of($planning, self::STRAP, Axis::Height, [], self::flap(Length::min(Length::inches(2), $high->timesNearest(1, 2))), []),
        );
    }

    /** Whether a strap's end has a side of its own, between two scores. */
    private static function hasSide(GridSheet $strap): bool
    {
        return count($strap->columns->widths) > 2;
    }

    /** What of a strap's end lies on the front: what is left of it where one score has to take the thickness too. */
    private static function overFront(GridSheet $strap, Length $thick): Length
    {
        return self::hasSide($strap) ? $strap->columns->width(2) : $strap->columns->width(1)->minus($thick);
    }

    private static function strapPattern(GridSheet $grid, float $radius): Pattern
    {
        $last = count($grid->columns->widths) - 1;
        [$x, $w, $h] = [$grid->columns->edge($last), $grid->columns->edge($last + 1), $grid->rows->edge(1)];
        $end = Polygon::of([
            new Point($x, 0), ...RoundedCorner::vertices(new Point($w, 0), new Point(-1, 0), new Point(0, 1), $radius),
            ...RoundedCorner::vertices(new Point($w, $h), new Point(0, -1), new Point(-1, 0), $radius), new Point($x, $h),
        ]);
        $builder = (new PatternBuilder)->face('strap', $grid->cell(0, 0));
        if (! self::hasSide($grid)) {
            return $builder->face('strap-flap', $end, FaceRole::Flap)->hinge('strap', 'strap-flap', 90, 'x1')->build();
        }

        return $builder->face('strap-side', $grid->cell(1, 0), FaceRole::Gusset)->hinge('strap', 'strap-side', 90, 'x1')
            ->face('strap-flap', $end, FaceRole::Flap)->hinge('strap-side', 'strap-flap', 90, 'x2')->build();
    }
}
