<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiamondCard;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\CardSize;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/**
 * Two diamonds that close over the front. Sheet 4a × h, closes to 2a × h; six creases meet at each diamond's inner tip.
 *
 * Formulas: docs/formulas.md, "Diamond card".
 */
final readonly class DiamondCard implements Make
{
    /** The setting that marks where the slants begin. */
    private const MARK = 'slants';

    private const PIECE = 'card';

    /** Outer panel, the half diamond on it, the panel they hang on, and the middle one, where a diamond's tip lies on them. */
    private const LAYERS = 5;

    public function id(): string
    {
        return 'diamond-card';
    }

    public function body(): array
    {
        return [self::PIECE];
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

    public function usualClearance(Item $item, System $system): Clearance
    {
        return CardSize::noClearance();
    }

    /**
     * The scores lie at a, 3a/2 from either end, the marks at a/2: all on the step when a is a whole number of double steps.
     * The mark is measured from the end, wherever the scores really are.
     */
    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $quarter = CardSize::part($request, Dimension::Width, 1, 2);
        $doubles = Step::either(...array_map(fn (Step $scale) => Step::of($scale->size->times(2), $scale->unit), $planning->score()->scales()));
        $a = Length::max($doubles->down($quarter->figure()), $doubles->size);
        $half = $a->timesNearest(1, 2);
        $strips = [
            Strip::atMost('outer', $quarter->roundedTo($a)),
            Strip::atMost('inner', MakeUp::of(new Term(TermKind::HalfPanel, $half, null, $a))),
        ];
        $sheet = new GridPlan(
            AxisPlan::of($planning, self::PIECE, Axis::Width, $strips, MakeUp::of(new Term(TermKind::HalfPanel, $a)), $strips, isContained: true),
            AxisPlan::of($planning, self::PIECE, Axis::Height, [], CardSize::part($request, Dimension::Height), [], isContained: true),
        );
        $planning->set(self::PIECE, self::MARK, $planning->scorer, $quarter->figure()->timesNearest(1, 2), $half, MakeUp::of(new Term(TermKind::HalfPanel, $half, null, $a)));

        return new Plan($request, $planning->settings(), [self::PIECE => $sheet]);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $grid = $plan->grid(self::PIECE);
        $mark = $plan->settings->of(self::PIECE, self::MARK);
        $mark->at->isPositive() || throw NothingLeft::of('diamond');
        $marks = array_map(fn (string $from) => Measure::of($mark, MeasureKind::Mark, Axis::Width, $from, ["$from-slant"]), ['left', 'right']);
        $piece = PieceFigures::ofGrid(self::PIECE, $grid, $marks);
        // The outer panels stand out of the middle one by what they are wider than the ones they hang on.
        $columns = $grid->columns;
        $width = $columns->main()->plus($columns->width(0), $columns->width(4))->minus($columns->width(1)->plus($columns->width(3)));
        $height = $grid->rows->main();

        return new Figures(
            $request, $plan->settings, [$piece], new Extents($width, $height, Length::zero()), CardSize::closed($request, $width, $height, $request->paper->caliper->times(self::LAYERS)),
            [...CardSize::fits($request, $width, $height), ...CardSize::near($request, $width, $height), self::creasesMeet($grid, $mark->at), ...FromPaper::fits([$piece], $request)],
        );
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $grid = $figures->grid($piece);

        return new Shape(self::pattern($grid), bends: Collapse::bends(2 * $grid->columns->width(1)->toMillimetres(), $grid->rows->main()->toMillimetres()));
    }

    public function joins(Figures $figures): array
    {
        return [];
    }

    public function stock(): PaperKind
    {
        return PaperKind::Card;
    }

    public function faces(): Faces
    {
        return new Faces(isHeldByBand: true, seenInside: ['card/middle']);
    }

    public function loose(Figures $figures): array
    {
        return [];
    }

    public function steps(Figures $figures): array
    {
        $work = GridWork::on($figures->piece(self::PIECE));

        return [...$work->cutAndScore(), ...self::slants($work), ...self::points($work, $figures->request), self::folding($work)];
    }

    /** @return list<WorkStep> the marks on both long edges, and each slant from a mark across to where the second score ends, its ends on one groove */
    private static function slants(GridWork $work): array
    {
        $bench = $work->bench;
        $marks = $slants = [];
        foreach (['left', 'right'] as $side) {
            $marks[] = $work->mark($work->reading(self::MARK, $side), "mark-$side");
        }
        foreach (['left' => 'x2', 'right' => 'x3'] as $side => $second) {
            foreach (['up' => ['bottom', 'top'], 'down' => ['top', 'bottom']] as $rise => [$from, $to]) {
                $ends = [$bench->at("mark-$side", $from), $bench->at($second, $to)];
                $way = $ends[1]->is->minus($ends[0]->is);
                // Upright on its groove, the nearer end above.
                $turn = rad2deg(atan2(-$way->x, $way->y));
                $slants[] = $work->step("slant/$side-$rise", Deed::Score, With::ScoringBoard, [
                    $bench->draw(LineKind::Score, "$side-slant-$rise", Line::between(...$ends), ...$ends),
                ], $turn, advice: ['both-ends-on-one-groove'], about: ["$side-diamond"]);
            }
        }

        return [$work->step('slants/mark', Deed::Mark, With::Pencil, $marks), ...$slants];
    }

    /** @return list<WorkStep> the corners outside the diamonds: a mark in the middle of each short end, and a cut from it to both marks */
    private static function points(GridWork $work, SizingRequest $request): array
    {
        $bench = $work->bench;
        $half = $work->grid->rows->total->timesNearest(1, 2);
        $isOnStep = $request->tools->cut->divides($half) && $half->times(2)->equals($work->grid->rows->total);
        $steps = [];
        foreach (['left', 'right'] as $side) {
            // Half the height; where no ruler has that, level with where the slants cross.
            $level = $isOnStep ? $bench->in('bottom', $half->toMillimetres()) : Line::through($bench->at("$side-slant-up", "$side-slant-down"), 0.0);
            $tip = $bench->at($side, $level);
            $steps[] = $work->step("point/$side", Deed::CutAway, With::Scissors, [
                $bench->away(Waste::Tip, $bench->at($side, 'bottom'), $bench->at("mark-$side", 'bottom'), $tip),
                $bench->away(Waste::Tip, $bench->at($side, 'top'), $bench->at("mark-$side", 'top'), $tip),
            ], about: ["$side-diamond"]);
        }

        return $steps;
    }

    /** Six creases meet at each tip, and fold only together: the straight ones mountains, the slanted ones valleys. */
    private static function folding(GridWork $work): WorkStep
    {
        $bench = $work->bench;
        $grid = $work->grid;
        $h = $bench->height;
        $names = [$work->name('middle', FaceRole::Panel, 2, 0)];
        $folds = [];
        foreach (['left' => ['x1', 'x2', 1, 1, 2], 'right' => ['x4', 'x3', -1, 4, 3]] as $side => [$straight, $inner, $in, $first, $second]) {
            [$a, $b] = [$grid->columns->edge($first), $grid->columns->edge($second)];
            [$up, $down] = ["$side-slant-up", "$side-slant-down"];
            $tip = $bench->at($up, $down);
            $wide = abs($b - $a);
            foreach (['inner' => [$b - $in * $wide / 8, $h / 2], 'lower' => [$a + $in * $wide / 8, $h / 8], 'upper' => [$a + $in * $wide / 8, $h * 7 / 8], 'lower-outer' => [$a - $in * $wide / 8, $h / 8], 'upper-outer' => [$a - $in * $wide / 8, $h * 7 / 8], 'diamond' => [$a - $in * $wide / 2, $h / 2]] as $face => [$x, $y]) {
                $names[] = $bench->name("$side-$face", FaceRole::Panel, $x, $y);
            }
            array_push(
                $folds,
                $bench->fold("$side-inner", 'middle', -180, $inner, $bench->at($inner, 'bottom'), $bench->at($inner, 'top')),
                $bench->fold("$side-lower", "$side-inner", 180, $down, $tip, $bench->at($inner, 'bottom')),
                $bench->fold("$side-upper", "$side-inner", 180, $up, $tip, $bench->at($inner, 'top')),
                $bench->fold("$side-lower-outer", "$side-lower", -180, $straight, $bench->at($straight, 'bottom'), $tip),
                $bench->fold("$side-upper-outer", "$side-upper", -180, $straight, $tip, $bench->at($straight, 'top')),
                new FoldOp(180, [[$up, $bench->at("mark-$side", 'bottom'), $tip], [$down, $bench->at("mark-$side", 'top'), $tip]], "$side-diamond", "$side-lower-outer"),
            );
        }

        return $work->step('fold', Deed::Fold, With::BoneFolder, [...$names, ...$folds], advice: ['mountains-straight-valleys-slanted'], about: ['left-diamond', 'right-diamond']);
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($figures->pieces),
            // Its scores lie on the step where a quarter of it is two steps.
            'comes-near-width' => CardSize::neighbours($fit, $figures->request, $figures->closed->width, $figures->request->tools->score->size->times(4)),
            'comes-near-height' => CardSize::neighbours($fit, $figures->request, $figures->closed->height, $figures->request->tools->cut->size),
            default => [],
        };
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

        foreach (['inner', 'lower', 'upper', 'lower-outer', 'upper-outer', 'diamond'] as $face) {
            $builder->twins("left-$face", "right-$face");
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
