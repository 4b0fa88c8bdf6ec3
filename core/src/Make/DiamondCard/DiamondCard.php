<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiamondCard;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shared\CardSize;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridPiece;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/**
 * Two diamonds that close over the front. Sheet 4a × h, closes to 2a × h; six creases meet at each diamond's inner tip.
 *
 * Formulas: docs/formulas.md, "Diamond card".
 */
final readonly class DiamondCard implements Make
{
    /** The setting that marks where the slants begin. */
    private const MARK = 'mark';

    public function id(): string
    {
        return 'diamond-card';
    }

    public function holds(): array
    {
        return [HeldKind::CardToMake];
    }

    public function options(): array
    {
        return [];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        return [];
    }

    public function usualClearance(Item $item): Clearance
    {
        return CardSize::noClearance();
    }

    public function design(SizingRequest $request): Design
    {
        [$grid, $planned] = [self::grid($request, $request->tools), self::grid($request, $request->tools->unmoved())];
        // The mark is measured from the end, wherever the scores really are.
        $mark = $planned->columns->width(1)->plus($request->tools->moved(self::MARK));
        $mark->isPositive() || throw NothingLeft::of('diamond');
        $piece = GridPiece::of('card', $grid, self::pattern($grid), more: self::marks($planned, $mark), bends: Collapse::bends(2 * $grid->columns->width(1)->toMillimetres(), $grid->rows->main()->toMillimetres()));
        $marks = array_keys(array_filter($piece->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Mark));
        [$a, $height] = [$grid->columns->width(0), $grid->rows->main()];
        $size = new Extents($a->times(2), $height, Length::zero());

        return new Design(
            $request, [$piece], $size, new Extents($a->times(2), $height, $request->paper->caliper->times(4)),
            [...CardSize::fits($request, $a->times(2), $height), self::creasesMeet($grid, $mark), ...FromPaper::fits([$piece], $request)],
            [
                ...GridWork::cutAndScore($piece),
                new WorkStep(Deed::Mark, $piece->id, with: ToolKind::ScoringBoard, measures: $marks),
                new WorkStep(Deed::ScoreSlants, $piece->id, with: ToolKind::ScoringBoard, measures: $marks),
                new WorkStep(Deed::CutOut, $piece->id, faces: ['left-diamond', 'right-diamond']),
                new WorkStep(Deed::Fold, $piece->id, faces: ['left-diamond', 'right-diamond'], onto: 'middle', advice: ['mountains-straight-valleys-slanted']),
            ],
        );
    }

    public function remedies(string $fit, Design $design): array
    {
        return $fit === FromPaper::ID ? FromPaper::remedies($design->pieces) : [];
    }

    /** The scores lie at a, 3a/2 from either end, the marks at a/2: all on the step when a is a whole number of double steps. */
    private static function grid(SizingRequest $request, Tools $tools): GridSheet
    {
        $double = Step::of($request->tools->score->size->times(2));
        $quarter = CardSize::part($request, Dimension::Width, 1, 2);
        $a = Length::max($double->down($quarter->figure()), $double->size);
        $full = Strip::atMost($quarter->roundedTo($a));
        $half = Strip::atMost(MakeUp::of(new Term(TermKind::HalfPanel, $a->timesNearest(1, 2), null, $a)));
        $middle = MakeUp::of(new Term(TermKind::HalfPanel, $a));

        return new GridSheet(
            GridAxis::of(Axis::Width, [$full, $half], $middle, [$full, $half], $tools, isContained: true),
            GridAxis::of(Axis::Height, [], CardSize::part($request, Dimension::Height), [], $tools, isContained: true),
        );
    }

    /** @return list<Measure> where the diagonals meet the top and bottom edge: a/2 from either end */
    private static function marks(GridSheet $grid, Length $at): array
    {
        $madeOf = MakeUp::of(new Term(TermKind::HalfPanel, $grid->columns->width(1), null, $grid->columns->width(0)))->roundedTo($at);

        return array_map(fn (string $from) => new Measure(MeasureKind::Mark, ToolKind::ScoringBoard, Axis::Width, $from, $at, $madeOf, ["$from-slant"], setting: self::MARK), ['left', 'right']);
    }

    /**
     * Six creases meet at a tip. The two slants from a mark m to the second score b cross half way between them, (m + b)/2 from
     * the end; as far as that is from the first score, they miss it. What a hand can miss is no harm.
     */
    private static function creasesMeet(GridSheet $grid, Length $mark): Fit
    {
        $off = Length::zero();
        foreach ([[0, 1], [4, 3]] as [$outer, $next]) {
            [$first, $second] = [$grid->columns->width($outer), $grid->columns->width($outer)->plus($grid->columns->width($next))];
            $by = $mark->plus($second)->minus($first->times(2));
            $off = Length::max($off, $by->timesNearest(1, 2), $by->timesNearest(-1, 2));
        }

        return Fit::plain('creases-meet', Length::zero(), Fit::handMiss()->minus($off), Length::zero(), Fit::handMiss());
    }

    private static function pattern(GridSheet $grid): Pattern
    {
        [$w, $h] = [$grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres()];
        $builder = (new PatternBuilder)->face('middle', $grid->cell(2, 0));
        foreach (['left' => fn (float $x): float => $x, 'right' => fn (float $x): float => $w - $x] as $side => $x) {
            [$a, $b] = [$grid->columns->edge(1), $grid->columns->edge(2)];
            $p = fn (float $along, float $up): Point => new Point($x($along), $up);
            $tip = $p($a, $h / 2);
            $slant = "$side-slant";
            [$straight, $inner] = $side === 'left' ? ['x1', 'x2'] : ['x4', 'x3'];
            $near = $a - ($b - $a);
            $builder
                ->face("$side-inner", Polygon::of([$p($b, 0), $p($b, $h), $tip]))
                ->face("$side-lower", Polygon::of([$p($a, 0), $p($b, 0), $tip]))
                ->face("$side-upper", Polygon::of([$p($a, $h), $tip, $p($b, $h)]))
                ->face("$side-lower-outer", Polygon::of([$p($near, 0), $p($a, 0), $tip]))
                ->face("$side-upper-outer", Polygon::of([$p($near, $h), $tip, $p($a, $h)]))
                ->face("$side-diamond", Polygon::of([$p(0, $h / 2), $p($near, 0), $tip, $p($near, $h)]))
                ->hinge('middle', "$side-inner", -180, $inner)
                ->hinge("$side-inner", "$side-lower", 180, $slant)->hinge("$side-inner", "$side-upper", 180, $slant)
                ->hinge("$side-lower", "$side-lower-outer", -180, $straight)->hinge("$side-upper", "$side-upper-outer", -180, $straight)
                ->hinge("$side-lower-outer", "$side-diamond", 180, $slant)->hinge("$side-upper-outer", "$side-diamond", 180, $slant);
        }

        return $builder->layers(
            ...self::bothSides('diamond', 'lower-outer', 'upper-outer', 'lower', 'upper', 'inner'), ...['middle'],
        )->build();
    }

    /** @return list<string> */
    private static function bothSides(string ...$faces): array
    {
        return array_merge(...array_map(fn (string $face) => ["left-$face", "right-$face"], array_values($faces)));
    }
}
