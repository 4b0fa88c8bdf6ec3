<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlopeBox;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\BoxRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Place;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Settings;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;

/**
 * A desk organizer with a high back, a low front and sloping sides, from one sheet or from two whose bases are glued together.
 *
 * Columns depth | width | depth; rows front | base | back; the back takes what is left. Formulas: docs/formulas.md, "Slope box".
 */
final readonly class SlopeBox implements Make
{
    private const BOX = 'box';

    /** Half of each side, and the tabs glued inside both. */
    private const CALIPERS_WIDE = 3;

    private const BACK = 'back-sheet';

    private const FRONT = 'front-sheet';

    /** The setting that marks how far down the back's sides begin to slope. */
    private const SLOPE = 'slope';

    public function id(): string
    {
        return 'slope-box';
    }

    public function body(): array
    {
        return [self::BOX, self::BACK];
    }

    public function holds(): array
    {
        return [HeldKind::Set];
    }

    public function options(): array
    {
        return [
            Row::length('depth')->lessened(7), Row::length('frontHeight')->lessened(8), Row::length('slope'),
            Row::count('sheets', 1, 2, fn () => 1), Row::length('frontTabs')->lessened(9)->onlyWith(['sheets'], '2'), Row::count('dividers', 0, 12, fn () => 0),
        ];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        $options = $request->options;
        $depth = $options->length('depth') ?? $request->tools->score->up(self::depth($request)->figure());
        $slope = $options->length('slope') ?? $request->tools->score->up($depth);
        $back = $request->tools->score->up($request->item->height->plus($request->clearance->height));

        return [
            'depth' => $depth,
            'slope' => $slope,
            'frontHeight' => $options->length('frontHeight') ?? Length::max($back->minus($slope), $request->tools->score->size),
            'frontTabs' => Length::min($options->length('frontTabs') ?? $depth, $depth),
        ];
    }

    /** As cards with envelopes in a tray, 1/4 in wide; the back as high as what stands in it (common practice, no source). */
    public function usualClearance(Item $item, System $system): Clearance
    {
        return new Clearance(Length::inches(1, 4), Length::zero(), BoxRoom::usualDepth($system));
    }

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $chosen = $this->chosenLengths($request);
        $isOne = self::isOne($request);
        $depth = $request->options->length('depth') === null ? self::depth($request) : MakeUp::of(new Term(TermKind::Depth, $chosen['depth']));
        $width = BoxRoom::needed($request, Dimension::Width, self::CALIPERS_WIDE);
        $sides = Strip::atLeast('sides', $depth);
        $back = BoxRoom::needed($request, Dimension::Height, 0);
        $front = MakeUp::of(new Term(TermKind::Flap, $chosen['frontHeight']));
        // The base is scored like the sides, so that it is as deep as they are; back and front take what is left.
        $base = Strip::atLeast('base', $depth);
        $columns = fn (string $piece, Strip $side): AxisPlan => AxisPlan::of($planning, $piece, Axis::Width, [$side], $width, [$side]);
        // Of two sheets the front may have sides that are only as wide as its glue needs: the back's lie over them.
        $tabs = $chosen['frontTabs']->isLessThan($chosen['depth']) ? Strip::atLeast('sides', MakeUp::of(new Term(TermKind::Flap, $chosen['frontTabs']))) : $sides;
        if ($isOne) {
            $main = new GridPlan($columns(self::BOX, $sides), AxisPlan::of($planning, self::BOX, Axis::Height, [Strip::atMost('front', $front), $base], $back, []));
            $sheets = [self::BOX => $main];
        } else {
            $main = new GridPlan($columns(self::BACK, $sides), AxisPlan::of($planning, self::BACK, Axis::Height, [$base], $back, []));
            $sheets = [self::BACK => $main, self::FRONT => new GridPlan($columns(self::FRONT, $tabs), AxisPlan::of($planning, self::FRONT, Axis::Height, [], $front, [$base], isContained: true))];
        }
        $real = $main->settle($planning->settings());
        $cut = $request->tools->cut;
        $high = $real->rows->width($isOne ? 2 : 1);
        $slope = Length::min(Length::max($cut->down($chosen['slope']), $cut->size), Length::max($cut->down($high->timesNearest(19, 20)), Length::ofTicks(1)));
        $planning->set($isOne ? self::BOX : self::BACK, self::SLOPE, ToolKind::Trimmer, $chosen['slope'], $slope, MakeUp::of(new Term(TermKind::Slope, $chosen['slope'])));
        for ($n = 1; $n <= $request->options->count('dividers'); $n++) {
            $sheets[Dividers::id($n)] = Dividers::plan($planning, $n, $request->options->count('dividers'), $real->columns->main(), $real->rows->width($isOne ? 2 : 1));
        }

        return new Plan($request, $planning->settings(), $sheets);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $ids = [...(self::isOne($request) ? [self::BOX] : [self::BACK, self::FRONT]), ...self::dividers($request)];
        $pieces = array_map(fn (string $id) => PieceFigures::ofGrid($id, $plan->grid($id), [...self::slopeMark($plan->settings, $id), ...Dividers::marks($plan->settings, $id)]), $ids);
        $t = $request->paper->caliper;
        [$columns, $deep, $front, $high] = self::measured($plan);
        $wide = $columns->main();
        $inside = new Extents(
            $wide->minus($t->times(self::CALIPERS_WIDE)), $high,
            Length::min($deep, $columns->width(0), $columns->width(2))->minus($t)->minus(self::dividersThick($request)),
        );
        $low = $high->minus(self::slope($plan->settings, $high));

        return new Figures($request, $plan->settings, $pieces, $inside, new Extents($wide->plus($t), $high->plus($t), $deep->plus($t)), [
            ...BoxRoom::fits($request, $inside, Fit::handMiss()->times(3), Dimension::Height),
            new Fit('sides-overlap', $front, $low, $front, Length::zero(), MakeUp::of()),
            ...FromPaper::fits($pieces, $request),
        ], BoxRoom::takes($request, $inside));
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $request = $figures->request;
        $grid = $figures->grid($piece);
        $slope = $piece === self::BOX || $piece === self::BACK ? self::slope($figures->settings, $grid->rows->width($piece === self::BOX ? 2 : 1))->toMillimetres() : 0.0;
        $tabs = fn (string $side): float => $this->tabReach($figures, $piece, $side)->toMillimetres();
        $lift = Place::lift($request->paper);

        return match ($piece) {
            self::BOX => new Shape($this->box($grid, $slope, $tabs)->joined($piece, $this->joins($figures))->build(), $grid->centredIn(1, 2, $request->item->width->toMillimetres(), min($request->item->height->toMillimetres(), $grid->rows->width(2)->toMillimetres())), places: [Place::asItLies()]),
            self::BACK => new Shape($this->half($grid, 'back', 0, 1, $slope, $tabs)->joined($piece, $this->joins($figures))->build(), places: [Place::asItLies()]),
            self::FRONT => new Shape($this->half($grid, 'front', 1, 0, 0.0, $tabs)->joined($piece, $this->joins($figures))->build(), places: [Place::asItLies(y: -$grid->rows->edge(1), z: $lift)]),
            default => new Shape(Dividers::pattern($figures->settings, $piece, $grid), places: [$this->standing($figures, $piece)]),
        };
    }

    public function joins(Figures $figures): array
    {
        return [...self::seams($figures->request), ...self::tabJoins($figures->request)];
    }

    public function stock(): PaperKind
    {
        return PaperKind::Box;
    }

    public function faces(): Faces
    {
        return new Faces(isHeldByBand: false, seenInside: ['box/base', 'back-sheet/base', 'front-sheet/base'], isStanding: true);
    }

    public function loose(Figures $figures): array
    {
        return array_fill_keys(self::dividers($figures->request), 'stands-in');
    }

    public function steps(Figures $figures): array
    {
        $request = $figures->request;
        $dividers = self::dividers($request);
        $steps = $work = [];
        foreach ($figures->pieces as $piece) {
            $here = $work[$piece->id] = GridWork::on($piece);
            if (in_array($piece->id, $dividers, true)) {
                array_push($steps, ...Dividers::steps($here, $piece));

                continue;
            }
            $tabs = array_values(array_filter(self::tabJoins($request), fn (Join $join) => $join->face->piece === $piece->id));
            $seams = array_values(array_filter(self::seams($request), fn (Join $join) => $join->isWithinOnePiece()));
            $hiddenBy = fn (Join $join): ?string => $piece->id === self::FRONT ? null : str_replace('back', 'front', $join->onto->face);
            array_push(
                $steps, ...$here->cutAndScore(), ...$this->slits($here, $figures), ...$this->slopes($here, $figures),
                ...[$here->step('fold', Deed::Fold, With::BoneFolder, $this->folds($here, $figures), about: [...self::sidesOf($piece->id), 'left-tab', 'right-tab'])],
                ...[$here->step('glue/tabs', Deed::Glue, With::WetGlue, array_map(fn (Join $join) => new JoinOp($join, $hiddenBy($join)), $tabs), advice: ['strong-tape-or-wet-glue'])],
            );
            self::isOne($request) && $steps[] = $here->step('glue/front', Deed::Glue, With::WetGlue, array_map(fn (Join $join) => new JoinOp($join), $seams), advice: ['square-it-round-the-contents']);
        }
        self::isOne($request) || $steps[] = $work[self::FRONT]->step('glue/back', Deed::Glue, With::WetGlue, self::acrossSheets($request, $work[self::FRONT], $work[self::BACK]), advice: ['square-it-round-the-contents']);

        return [...$steps, $work[$figures->pieces[0]->id]->step('fill', Deed::Fill, null)];
    }

    /** @return list<string> the side panels of a sheet */
    private static function sidesOf(string $piece): array
    {
        return match ($piece) {
            self::BOX => ['back-left', 'back-right', 'front-left', 'front-right'],
            self::BACK => ['back-left', 'back-right'],
            default => ['front-left', 'front-right'],
        };
    }

    /**
     * Which row of a sheet its base is, and what stands above and below it.
     *
     * @return array{int, ?string, ?string}
     */
    private static function rowsOf(string $piece): array
    {
        return match ($piece) {
            self::BOX => [1, 'back', 'front'], self::BACK => [0, 'back', null], default => [1, null, 'front'],
        };
    }

    /** @return list<WorkStep> the little squares beside the base, cut free along every score that parts them from a side panel */
    private function slits(GridWork $work, Figures $figures): array
    {
        $bench = $work->bench;
        [$row, $above, $below] = self::rowsOf($bench->piece);
        $steps = [];
        foreach (['left' => 'x1', 'right' => 'x2'] as $side => $x) {
            $reach = $this->tabReach($figures, $bench->piece, $side);
            $column = $work->grid->columns->width($side === 'left' ? 0 : 2);
            $isShort = $reach->isLessThan($column);
            $end = $isShort ? $bench->beside($x, $reach->toMillimetres(), $side) : $bench->line($side);
            $ops = [];
            foreach (array_filter([$row + 1 => $above, $row => $below]) as $line => $wall) {
                $ops[] = $bench->draw(LineKind::Cut, "cut-$wall-$side", $bench->line("y$line"), $bench->at($end, "y$line"), $bench->at($x, "y$line"));
            }
            $isShort && $ops[] = $bench->away(Waste::Corner, $bench->at($side, $work->row($row)), $bench->at($side, $work->row($row + 1)), $bench->at($end, $work->row($row + 1)), $bench->at($end, $work->row($row)));
            $steps[] = $work->step("tab/$side", Deed::Slit, With::Scissors, $ops, about: ["$side-tab"]);
        }

        return $steps;
    }

    /** @return list<WorkStep> a mark so far down both outer edges, and a cut from it to where the back's score ends; mirror images */
    private function slopes(GridWork $work, Figures $figures): array
    {
        $bench = $work->bench;
        if ($bench->piece === self::FRONT) {
            return [];
        }
        $steps = [$work->step('slope/mark', Deed::Mark, With::Pencil, [$work->mark($work->reading(self::SLOPE, 'top'), self::SLOPE)], about: ['back-left', 'back-right'])];
        foreach (['left' => 'x1', 'right' => 'x2'] as $side => $x) {
            $steps[] = $work->step("slope/$side", Deed::CutAway, With::Trimmer, [
                $bench->away(Waste::Taper, $bench->at($side, self::SLOPE), $bench->at($side, 'top'), $bench->at($x, 'top')),
            ], advice: $side === 'right' ? ['left-and-right-are-mirror-images'] : [], about: ["back-$side"]);
        }

        return $steps;
    }

    /** @return list<Op> */
    private function folds(GridWork $work, Figures $figures): array
    {
        [$row, $above, $below] = self::rowsOf($work->bench->piece);
        $names = [$work->name('base', FaceRole::Panel, 1, $row)];
        $folds = [];
        foreach (array_filter([$row + 1 => $above, $row - 1 => $below]) as $its => $wall) {
            $names[] = $work->name($wall, FaceRole::Wall, 1, $its);
            foreach (['left' => [0, 'x1'], 'right' => [2, 'x2']] as $side => [$column, $x]) {
                // Near the foot, where the slope has not come to.
                $foot = ($its > $row ? 0.04 : 0.5) * $work->grid->rows->width($its)->toMillimetres() + $work->grid->rows->edge($its);
                $names[] = $work->bench->name("$wall-$side", FaceRole::Wall, ($work->grid->columns->edge($column) + $work->grid->columns->edge($column + 1)) / 2, $foot);
                $folds[] = $work->foldOnX("$wall-$side", $wall, 90, $x, $its);
            }
        }
        foreach (['left' => ['x1', -1], 'right' => ['x2', 1]] as $side => [$x, $out]) {
            $foot = $work->grid->columns->edge($side === 'left' ? 1 : 2);
            $names[] = $work->bench->name("$side-tab", FaceRole::Tab, $foot + $out * $this->tabReach($figures, $work->bench->piece, $side)->toMillimetres() / 2, ($work->grid->rows->edge($row) + $work->grid->rows->edge($row + 1)) / 2);
            $folds[] = $work->foldOnX("$side-tab", 'base', 90, $x, $row);
        }
        $above === null || $folds[] = $work->foldOnY($above, 'base', 90, 'y'.($row + 1), 1);
        $below === null || $folds[] = $work->foldOnY($below, 'base', 90, "y$row", 1);

        return [...$names, ...$folds];
    }

    /** @return list<JoinOp> the front's sides inside the back's, its base on the back's, front edge on front edge */
    private static function acrossSheets(SizingRequest $request, GridWork $front, GridWork $back): array
    {
        $isAlike = $front->grid->columns->main()->equals($back->grid->columns->main());
        $middle = fn (GridWork $work): Line => $work->bench->beside('x1', $work->grid->columns->main()->toMillimetres() / 2, 'right');
        // Both fold ends of the base; where one sheet came out wider than the other, their middles.
        $base = [];
        foreach ($isAlike ? [['x1', 'x1'], ['x2', 'x2']] : [[$middle($front), $middle($back)]] as [$there, $here]) {
            array_push($base, [$front->bench->at($there, 'y1'), $back->bench->at($here, 'bottom')], [$front->bench->at($there, 'top'), $back->bench->at($here, 'y1')]);
        }

        return array_map(fn (Join $join) => new JoinOp($join, meet: match ($join->face->face) {
            'base' => $base,
            'front-left' => [[$front->bench->at('x1', 'y1'), $back->bench->at('left', 'y1')]],
            default => [[$front->bench->at('x2', 'y1'), $back->bench->at('right', 'y1')]],
        }), self::seams($request));
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return match ($fit) {
            FromPaper::ID => [new Remedy('two-sheets', ['/options/sheets' => 2]), ...FromPaper::remedies($figures->pieces)],
            'sides-overlap' => [new Remedy('usual-slope', ['/options/slope' => null, '/options/frontHeight' => null]), new Remedy('lower-front', ['/options/frontHeight' => null])],
            'card-fits-depth' => [new Remedy('depth-from-contents', ['/options/depth' => null])],
            default => [],
        };
    }

    /**
     * The front's sides lie inside the back's, so that no seam shows outside; of two sheets, the front's base lies on the back's.
     *
     * @return list<Join>
     */
    private static function seams(SizingRequest $request): array
    {
        [$back, $front] = self::isOne($request) ? [self::BOX, self::BOX] : [self::BACK, self::FRONT];
        $onto = fn (string $face, string $other): Join => Join::of(JoinEnd::outside($front, $face), JoinEnd::inside($back, $other));

        return [$onto('front-left', 'back-left'), $onto('front-right', 'back-right'), ...(self::isOne($request) ? [] : [$onto('base', 'base')])];
    }

    /** @return list<Join> the tabs beside each base, inside the sides of the same sheet */
    private static function tabJoins(SizingRequest $request): array
    {
        $joins = [];
        foreach (self::isOne($request) ? [self::BOX => 'back'] : [self::BACK => 'back', self::FRONT => 'front'] as $piece => $wall) {
            foreach (['left', 'right'] as $side) {
                $joins[] = Join::of(JoinEnd::outside($piece, "$side-tab"), JoinEnd::inside($piece, "$wall-$side"));
            }
        }

        return $joins;
    }

    /** All of them together. */
    private static function dividersThick(SizingRequest $request): Length
    {
        return $request->caliperOf('divider')->times($request->options->count('dividers'));
    }

    /** The stack with its clearance, the base's fold and the back's by half a caliper each, and every divider's own. */
    private static function depth(SizingRequest $request): MakeUp
    {
        return BoxRoom::needed($request, Dimension::Depth, 1)->plus(new Term(TermKind::Paper, self::dividersThick($request)));
    }

    private static function isOne(SizingRequest $request): bool
    {
        return $request->options->count('sheets') === 1;
    }

    /** @return list<string> the ids of the dividers, the hindmost last */
    private static function dividers(SizingRequest $request): array
    {
        return array_map(Dividers::id(...), array_keys(array_fill(1, $request->options->count('dividers'), true)));
    }

    /** @return array{GridAxis, Length, Length, Length} the columns, and how deep its base, how high its front and its back are */
    private static function measured(Plan $plan): array
    {
        if (self::isOne($plan->request)) {
            $box = $plan->grid(self::BOX);

            return [$box->columns, $box->rows->width(1), $box->rows->width(0), $box->rows->width(2)];
        }
        [$back, $front] = [$plan->grid(self::BACK), $plan->grid(self::FRONT)];

        return [$back->columns, Length::min($back->rows->width(0), $front->rows->width(1)), $front->rows->width(0), $back->rows->width(1)];
    }

    /** A divider stands on the base, at equal distances between back and front. */
    private function standing(Figures $figures, string $divider): Place
    {
        $dividers = self::dividers($figures->request);
        $isOne = self::isOne($figures->request);
        $box = $figures->grid($isOne ? self::BOX : self::BACK);
        $behind = $box->rows->width($isOne ? 1 : 0)->toMillimetres() * ((int) array_search($divider, $dividers, true) + 1) / (count($dividers) + 1);
        $aside = $box->columns->edge(1) + ($box->columns->main()->toMillimetres() - $figures->piece($divider)->sheet->width->toMillimetres()) / 2;

        return new Place(90.0, new Vector($aside, ($isOne ? $box->rows->edge(1) : 0.0) + $behind, Place::lift($figures->request->paper)));
    }

    /** @param callable(string): float $tabs */
    private function box(GridSheet $grid, float $slope, callable $tabs): PatternBuilder
    {
        $builder = (new PatternBuilder)
            ->face('back', $grid->cell(1, 2), FaceRole::Wall)
            ->face('base', $grid->cell(1, 1))->standsOn('base')->hinge('back', 'base', 90, 'y2')
            ->face('front', $grid->cell(1, 0), FaceRole::Wall)->hinge('base', 'front', 90, 'y1');
        self::sides($builder, $grid, 'back', 2, $slope);
        self::sides($builder, $grid, 'front', 0, 0.0);
        self::tabs($builder, $grid, 1, $tabs, 'back', 'front');

        return $builder;
    }

    /**
     * The back or the front with a base of its own, where the box is made of two sheets.
     *
     * @param callable(string): float $tabs
     */
    private function half(GridSheet $grid, string $wall, int $baseRow, int $wallRow, float $slope, callable $tabs): PatternBuilder
    {
        $builder = (new PatternBuilder)->face($wall, $grid->cell(1, $wallRow), FaceRole::Wall)
            ->face('base', $grid->cell(1, $baseRow))->standsOn('base')->hinge($wall, 'base', 90, 'y1');
        self::sides($builder, $grid, $wall, $wallRow, $slope);
        self::tabs($builder, $grid, $baseRow, $tabs, $wall);

        return $builder;
    }

    /**
     * The little panels beside the base, cut free from the walls above and below.
     *
     * @param callable(string): float $reach how far each stands out of the base
     */
    private static function tabs(PatternBuilder $builder, GridSheet $grid, int $row, callable $reach, string ...$walls): void
    {
        [$low, $up] = [$grid->rows->edge($row), $grid->rows->edge($row + 1)];
        foreach (['left' => [$grid->columns->edge(1), -1], 'right' => [$grid->columns->edge(2), 1]] as $name => [$foot, $out]) {
            $high = $reach($name);
            $builder->face("$name-tab", Polygon::of([new Point($foot, $low), new Point($foot, $up), new Point($foot + $out * $high, $up), new Point($foot + $out * $high, $low)]), FaceRole::Tab)
                ->hinge('base', "$name-tab", 90, $name === 'left' ? 'x1' : 'x2');
            foreach ($walls as $wall) {
                $builder->slit("$name-tab", "$wall-$name");
            }
        }
        $builder->twins('left-tab', 'right-tab');
    }

    /** No higher, folded, than the side panel it is glued inside is where it is lowest; on the trimmer's step where it is shorter than its column. */
    private function tabReach(Figures $figures, string $piece, string $side): Length
    {
        $grid = $figures->grid($piece);
        [$row, $above] = self::rowsOf($piece);
        $wall = $grid->rows->width($above === null ? $row - 1 : $row + 1);
        $low = $above === null ? $wall : Length::max($wall->minus(self::slope($figures->settings, $wall)), $wall->timesNearest(1, 20));
        $column = $grid->columns->width($side === 'left' ? 0 : 2);
        $onStep = $figures->request->tools->cut->down($low);

        return $column->isMoreThan($low) ? ($onStep->isPositive() ? $onStep : $low) : $column;
    }

    /** How far the back's sides fall, as it is marked, and no further than to a twentieth of their height. */
    private static function slope(Settings $settings, Length $wall): Length
    {
        $marked = ($settings->find(self::BOX, self::SLOPE) ?? $settings->of(self::BACK, self::SLOPE))->at;

        return Length::min($marked, $wall->timesNearest(19, 20));
    }

    /** @return list<Measure> */
    private static function slopeMark(Settings $settings, string $piece): array
    {
        $setting = $settings->find($piece, self::SLOPE);

        return $setting === null ? [] : [Measure::of($setting, MeasureKind::Mark, Axis::Edge, 'top')];
    }

    /** The side panels of the back or front; those of the back fall from its height towards the front by the slope. */
    private static function sides(PatternBuilder $builder, GridSheet $grid, string $wall, int $row, float $slope): void
    {
        [$foot, $top] = [$grid->rows->edge($row), $grid->rows->edge($row + 1)];
        foreach ([['left', 0, 1], ['right', 3, 2]] as [$side, $outer, $inner]) {
            [$out, $in] = [$grid->columns->edge($outer), $grid->columns->edge($inner)];
            $low = max($top - $slope, $foot + ($top - $foot) / 20);
            $builder->face("$wall-$side", Polygon::of([new Point($in, $foot), new Point($in, $top), new Point($out, $low), new Point($out, $foot)]), FaceRole::Wall)
                ->hinge($wall, "$wall-$side", 90, "x$inner");
        }
        $builder->twins("$wall-left", "$wall-right");
    }
}
