<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlopeBox;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Design\FoldPlan;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Design\Place;
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
use Gimbo\Core\Make\Shared\BoxRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridPiece;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/**
 * A desk organizer with a high back, a low front and sloping sides, from one sheet or from two whose bases are glued together.
 *
 * Columns depth | width | depth; rows front | base | back. Formulas: docs/formulas.md, "Slope box".
 */
final readonly class SlopeBox implements Make
{
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
            OptionSpec::count('sheets', 1, 2, fn () => 1), OptionSpec::count('dividers', 0, 12, fn () => 0),
        ];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        $options = $request->options;
        $depth = $options->length('depth') ?? BoxRoom::needed($request, Dimension::Depth, 1)->figure();
        $slope = $options->length('slope') ?? $request->tools->score->up($depth);
        $back = $request->tools->score->up($request->item->height->plus($request->clearance->height));

        return [
            'depth' => $depth,
            'slope' => $slope,
            'frontHeight' => $options->length('frontHeight') ?? Length::max($back->minus($slope), $request->tools->score->size),
        ];
    }

    /** As cards with envelopes in a tray, 1/4 in wide; the back as high as what stands in it (common practice, no source). */
    public function usualClearance(Item $item): Clearance
    {
        return new Clearance(Length::inches(1, 4), Length::zero(), Length::zero());
    }

    public function design(SizingRequest $request): Design
    {
        $chosen = $this->chosenLengths($request);
        $isOne = $request->options->count('sheets') === 1;
        $tools = $request->tools->for($isOne ? 'box' : 'back-sheet');
        $depth = $request->options->length('depth') === null
            ? BoxRoom::needed($request, Dimension::Depth, 1)
            : MakeUp::of(new Term(TermKind::Depth, $chosen['depth']));
        $back = Strip::atLeast(BoxRoom::needed($request, Dimension::Height, 0));
        $front = Strip::atMost(MakeUp::of(new Term(TermKind::Flap, $chosen['frontHeight'])));
        $columns = GridAxis::of(Axis::Width, [Strip::atLeast($depth)], BoxRoom::needed($request, Dimension::Width, 1), [Strip::atLeast($depth)], $tools);
        $whole = new GridSheet($columns, GridAxis::of(Axis::Height, [$front], $depth, [$back], $tools));
        $contents = $whole->centredIn(1, 2, $request->item->width->toMillimetres(), min($request->item->height->toMillimetres(), $whole->rows->width(2)->toMillimetres()));
        if (! $isOne) {
            $backSheet = new GridSheet($columns, GridAxis::of(Axis::Height, [], $depth, [$back], $tools));
            $frontSheet = new GridSheet($columns, GridAxis::of(Axis::Height, [$front], $depth, [], $request->tools->for('front-sheet')));
            $pieces = [
                GridPiece::of('back-sheet', $backSheet, self::half($backSheet, 'back', 0, 1, $chosen['slope']->toMillimetres()))->placed(Place::asItLies()),
                GridPiece::of('front-sheet', $frontSheet, self::half($frontSheet, 'front', 1, 0, 0.0))
                    ->placed(Place::asItLies(y: -$frontSheet->rows->edge(1), z: FoldPlan::lift($request->paper))),
            ];
        } else {
            $pieces = [GridPiece::of('box', $whole, self::box($whole, $chosen['slope']->toMillimetres()), $contents)->placed(Place::asItLies())];
        }
        $dividers = Dividers::of($request->options->count('dividers'), $columns->main(), $whole->rows->width(2), $request);
        $floor = $isOne ? $whole->rows->edge(1) : 0.0;
        foreach ($dividers as $n => $divider) {
            $behind = $whole->rows->main()->toMillimetres() * ($n + 1) / (count($dividers) + 1);
            $aside = $columns->edge(1) + ($columns->main()->toMillimetres() - $divider->sheet->width->toMillimetres()) / 2;
            $pieces[] = $divider->placed(new Place(90.0, new Vector($aside, $floor + $behind, FoldPlan::lift($request->paper))));
        }
        $t = $request->paper->caliper;
        $wide = $columns->main();
        $deep = $whole->rows->main();
        $high = $whole->rows->width(2);
        $inside = new Extents($wide->minus($t), $high, Length::min($deep, $columns->width(0))->minus($t));
        $low = $high->minus($chosen['slope']);

        return new Design($request, $pieces, $inside, new Extents($wide->plus($t), $high->plus($t), $deep->plus($t)), [
            ...BoxRoom::fits($request, $inside, Fit::handMiss()->times(3), Dimension::Height),
            new Fit('sides-overlap', $whole->rows->width(0), $low, $whole->rows->width(0), Length::zero(), MakeUp::of()),
            ...FromPaper::fits($pieces, $request),
        ], self::steps($pieces), BoxRoom::takes($request, $inside));
    }

    public function remedies(string $fit, Design $design): array
    {
        return match ($fit) {
            FromPaper::ID => [new Remedy('two-sheets', ['/options/sheets' => 2]), ...FromPaper::remedies($design->pieces)],
            'sides-overlap' => [new Remedy('usual-slope', ['/options/slope' => null, '/options/frontHeight' => null]), new Remedy('lower-front', ['/options/frontHeight' => null])],
            'card-fits-depth' => [new Remedy('depth-from-contents', ['/options/depth' => null])],
            default => [],
        };
    }

    private static function box(GridSheet $grid, float $slope): Pattern
    {
        $builder = (new PatternBuilder)
            ->face('back', $grid->cell(1, 2))
            ->face('base', $grid->cell(1, 1))->hinge('back', 'base', 90, 'y2')
            ->face('front', $grid->cell(1, 0))->hinge('base', 'front', 90, 'y1');
        self::sides($builder, $grid, 'back', 2, $slope);
        self::sides($builder, $grid, 'front', 0, 0.0);
        foreach (['left' => 0, 'right' => 2] as $side => $column) {
            $builder->face("$side-tab", $grid->cell($column, 1))->hinge('base', "$side-tab", 90, $side === 'left' ? 'x1' : 'x2')
                ->slit("$side-tab", "back-$side")->slit("$side-tab", "front-$side")
                ->glue("$side-tab", "back-$side")->glue("front-$side", "back-$side");
        }

        return $builder->build();
    }

    /** The back or the front with a base of its own, where the box is made of two sheets. */
    private static function half(GridSheet $grid, string $wall, int $baseRow, int $wallRow, float $slope): Pattern
    {
        $builder = (new PatternBuilder)->face($wall, $grid->cell(1, $wallRow))
            ->face('base', $grid->cell(1, $baseRow))->hinge($wall, 'base', 90, 'y1');
        self::sides($builder, $grid, $wall, $wallRow, $slope);
        foreach (['left' => 0, 'right' => 2] as $side => $column) {
            $builder->face("$side-tab", $grid->cell($column, $baseRow))->hinge('base', "$side-tab", 90, $side === 'left' ? 'x1' : 'x2')
                ->slit("$side-tab", "$wall-$side")->glue("$side-tab", "$wall-$side");
        }

        return $builder->build();
    }

    /** The side panels of the back or front; those of the back fall from its height towards the front by the slope. */
    private static function sides(PatternBuilder $builder, GridSheet $grid, string $wall, int $row, float $slope): void
    {
        [$foot, $top] = [$grid->rows->edge($row), $grid->rows->edge($row + 1)];
        foreach ([['left', 0, 1], ['right', 3, 2]] as [$side, $outer, $inner]) {
            [$out, $in] = [$grid->columns->edge($outer), $grid->columns->edge($inner)];
            $low = max($top - $slope, $foot + ($top - $foot) / 20);
            $builder->face("$wall-$side", Polygon::of([new Point($in, $foot), new Point($in, $top), new Point($out, $low), new Point($out, $foot)]))
                ->hinge($wall, "$wall-$side", 90, "x$inner");
        }
    }

    /**
     * @param non-empty-list<Piece> $pieces
     * @return list<WorkStep>
     */
    private static function steps(array $pieces): array
    {
        $steps = [];
        foreach ($pieces as $piece) {
            if ($piece->folding->pattern->faces[0]->name === Dividers::FACE) {
                array_push($steps, ...Dividers::steps($piece));

                continue;
            }
            array_push($steps, ...GridWork::cutAndScore($piece));
            $steps[] = new WorkStep(Deed::Slit, $piece->id, faces: ['left-tab', 'right-tab']);
            $sides = array_values(array_filter(array_map(fn ($face) => (string) $face->name, $piece->pattern->faces), fn (string $name) => preg_match('/^(back|front)-(left|right)$/', $name) === 1));
            $steps[] = new WorkStep(Deed::Taper, $piece->id, faces: $sides, advice: ['left-and-right-are-mirror-images']);
            $steps[] = new WorkStep(Deed::Fold, $piece->id, faces: [...$sides, 'left-tab', 'right-tab'], onto: 'base');
            $steps[] = new WorkStep(Deed::Glue, $piece->id, faces: ['left-tab', 'right-tab'], onto: $sides[0] ?? 'base', advice: ['strong-tape-or-wet-glue']);
        }
        $steps[] = new WorkStep(Deed::Fill, $pieces[0]->id);

        return $steps;
    }
}
