<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlopeBox;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Figure\Extents;
use Gimbo\Core\Figure\Figures;
use Gimbo\Core\Figure\PieceFigures;
use Gimbo\Core\Figure\Place;
use Gimbo\Core\Figure\Plan;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\BoxRoom;
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
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

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

    public function id(): string
    {
        return 'slope-box';
    }

    public function holds(): array
    {
        return [HeldKind::Set];
    }

    public function options(): array
    {
        return [
            OptionSpec::length('depth'), OptionSpec::length('frontHeight'), OptionSpec::length('slope'),
            OptionSpec::count('sheets', 1, 2, fn () => 1), OptionSpec::length('frontTabs')->onlyWith(['sheets'], '2'), OptionSpec::count('dividers', 0, 12, fn () => 0),
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
        for ($n = 1; $n <= $request->options->count('dividers'); $n++) {
            $sheets[Dividers::id($n)] = Dividers::plan($planning, $n, $request->options->count('dividers'), $real->columns->main(), $real->rows->width($isOne ? 2 : 1));
        }

        return new Plan($request, $planning->settings(), $sheets);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $ids = [...(self::isOne($request) ? [self::BOX] : [self::BACK, self::FRONT]), ...self::dividers($request)];
        $pieces = array_map(fn (string $id) => PieceFigures::ofGrid($id, $plan->grid($id), Dividers::marks($plan->settings, $id)), $ids);
        $t = $request->paper->caliper;
        [$columns, $deep, $front, $high] = self::measured($plan);
        $wide = $columns->main();
        $inside = new Extents(
            $wide->minus($t->times(self::CALIPERS_WIDE)), $high,
            Length::min($deep, $columns->width(0), $columns->width(2))->minus($t->times(1 + $request->options->count('dividers'))),
        );
        $low = $high->minus($this->chosenLengths($request)['slope']);

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
        $slope = $this->chosenLengths($request)['slope']->toMillimetres();
        $lift = Place::lift($request->paper);

        return match ($piece) {
            self::BOX => new Shape($this->box($grid, $slope)->joined($piece, $this->joins($figures))->build(), $grid->centredIn(1, 2, $request->item->width->toMillimetres(), min($request->item->height->toMillimetres(), $grid->rows->width(2)->toMillimetres())), places: [Place::asItLies()]),
            self::BACK => new Shape($this->half($grid, 'back', 0, 1, $slope)->joined($piece, $this->joins($figures))->build(), places: [Place::asItLies()]),
            self::FRONT => new Shape($this->half($grid, 'front', 1, 0, 0.0)->joined($piece, $this->joins($figures))->build(), places: [Place::asItLies(y: -$grid->rows->edge(1), z: $lift)]),
            default => new Shape(Dividers::pattern($figures->settings, $piece, $grid), places: [$this->standing($figures, $piece)]),
        };
    }

    public function joins(Figures $figures): array
    {
        return [...self::seams($figures->request), ...self::tabJoins($figures->request)];
    }

    public function stock(): Stock
    {
        return Stock::Box;
    }

    public function isHeldByBand(): bool
    {
        return false;
    }

    public function steps(Figures $figures): array
    {
        $dividers = self::dividers($figures->request);
        $joins = [...self::tabJoins($figures->request), ...self::seams($figures->request)];
        $steps = [];
        foreach ($figures->pieces as $piece) {
            if (in_array($piece->id, $dividers, true)) {
                array_push($steps, ...Dividers::steps($piece));

                continue;
            }
            $sides = match ($piece->id) {
                self::BOX => ['back-left', 'back-right', 'front-left', 'front-right'],
                self::BACK => ['back-left', 'back-right'],
                default => ['front-left', 'front-right'],
            };
            $own = array_values(array_filter($joins, fn (Join $join) => $join->face->piece === $piece->id && $join->isWithinOnePiece()));
            array_push(
                $steps,
                ...GridWork::cutAndScore($piece),
                ...[
                    new WorkStep(Deed::Slit, $piece->id, faces: ['left-tab', 'right-tab']),
                    new WorkStep(Deed::Taper, $piece->id, faces: $sides, advice: ['left-and-right-are-mirror-images']),
                    new WorkStep(Deed::Fold, $piece->id, faces: [...$sides, 'left-tab', 'right-tab'], onto: 'base'),
                    ...WorkStep::glue($piece->id, $own, ['strong-tape-or-wet-glue']),
                ],
            );
        }
        $across = array_values(array_filter($joins, fn (Join $join) => ! $join->isWithinOnePiece()));

        return [...$steps, ...WorkStep::glue(self::FRONT, $across, ['strong-tape-or-wet-glue']), new WorkStep(Deed::Fill, $figures->pieces[0]->id)];
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

    /** The stack with its clearance, the base's fold and the back's by half a caliper each, and every divider's own. */
    private static function depth(SizingRequest $request): MakeUp
    {
        return BoxRoom::needed($request, Dimension::Depth, 1 + $request->options->count('dividers'));
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

    private function box(GridSheet $grid, float $slope): PatternBuilder
    {
        $builder = (new PatternBuilder)
            ->face('back', $grid->cell(1, 2), FaceRole::Wall)
            ->face('base', $grid->cell(1, 1))->standsOn('base')->hinge('back', 'base', 90, 'y2')
            ->face('front', $grid->cell(1, 0), FaceRole::Wall)->hinge('base', 'front', 90, 'y1');
        self::sides($builder, $grid, 'back', 2, $slope);
        self::sides($builder, $grid, 'front', 0, 0.0);
        self::tabs($builder, $grid, 1, $slope, 'back', 'front');

        return $builder;
    }

    /** The back or the front with a base of its own, where the box is made of two sheets. */
    private function half(GridSheet $grid, string $wall, int $baseRow, int $wallRow, float $slope): PatternBuilder
    {
        $builder = (new PatternBuilder)->face($wall, $grid->cell(1, $wallRow), FaceRole::Wall)
            ->face('base', $grid->cell(1, $baseRow))->standsOn('base')->hinge($wall, 'base', 90, 'y1');
        self::sides($builder, $grid, $wall, $wallRow, $slope);
        self::tabs($builder, $grid, $baseRow, $slope, $wall);

        return $builder;
    }

    /**
     * The little panels beside the base, cut free from the walls above and below; no higher, folded, than the side panel they are
     * glued inside is where it is lowest.
     */
    private static function tabs(PatternBuilder $builder, GridSheet $grid, int $row, float $slope, string ...$walls): void
    {
        $side = $grid->rows->edge($walls[0] === 'back' ? $row + 2 : $row) - $grid->rows->edge($walls[0] === 'back' ? $row + 1 : $row - 1);
        $high = min($grid->columns->edge(1), max($side - $slope, $side / 20));
        [$low, $up] = [$grid->rows->edge($row), $grid->rows->edge($row + 1)];
        foreach (['left' => [$grid->columns->edge(1), -1], 'right' => [$grid->columns->edge(2), 1]] as $name => [$foot, $out]) {
            $builder->face("$name-tab", Polygon::of([new Point($foot, $low), new Point($foot, $up), new Point($foot + $out * $high, $up), new Point($foot + $out * $high, $low)]), FaceRole::Tab)
                ->hinge('base', "$name-tab", 90, $name === 'left' ? 'x1' : 'x2');
            foreach ($walls as $wall) {
                $builder->slit("$name-tab", "$wall-$name");
            }
        }
        $builder->twins('left-tab', 'right-tab');
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
