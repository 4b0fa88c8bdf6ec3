<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\TrayAndLid;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Figure\PieceFigures;
use Gimbo\Core\Fit\Band;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Setting\Axis;
use Gimbo\Core\Setting\Planning;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/** How the four walls round a base are made: one layer, or a second one (the hem) folded inside. */
final readonly class Wall
{
    public const SINGLE = 'single';

    public const DOUBLED = 'doubled';

    /** A wedge out of each corner tab keeps the corner from bulging. */
    private const WEDGE_MM = 3.0;

    /** Hems scored nearer to the edge than walls, or like them. */
    public const NEARER = 'nearer-the-edge';

    public const ALIKE = 'like-the-wall';

    private const TABS = ['bottom-left-tab', 'bottom-right-tab', 'top-left-tab', 'top-right-tab'];

    private function __construct(private bool $isDoubled)
    {
    }

    public static function of(string $choice): self
    {
        return new self($choice === self::DOUBLED);
    }

    /**
     * Calipers between the base's scores and the free room: half of each wall, and the hems; up the sheet, where the corner tabs
     * are glued inside the walls at both ends, one more on each side.
     */
    public function calipersInside(Dimension $dimension): int
    {
        return ($this->isDoubled ? 3 : 1) + ($dimension === Dimension::Height ? 2 : 0);
    }

    /** Calipers a lid of this wall needs over a tray, between the scores of both, at its tightest place: where its tabs lie. */
    public function calipersOver(): int
    {
        return $this->isDoubled ? 6 : 4;
    }

    public function play(): Band
    {
        return LidPlay::of($this->isDoubled);
    }

    /**
     * Hems and walls.
     *
     * @param ?Band $play where length and width may come out either way
     */
    public function plan(Planning $planning, string $piece, SizingRequest $request, MakeUp $length, MakeUp $width, MakeUp $height, ?Band $play = null): GridPlan
    {
        $walls = Strip::atLeast('walls', $height);
        $strips = $this->isDoubled ? [$this->hems($planning, $request, $height), $walls] : [$walls];

        return new GridPlan(
            AxisPlan::of($planning, $piece, Axis::Width, $strips, $length, $strips, band: $play, isAlike: true),
            AxisPlan::of($planning, $piece, Axis::Height, $strips, $width, $strips, band: $play, isAlike: true),
        );
    }

    /** As high as the wall, or shorter by the paper it is folded round and a little, which scored nearer to the edge it is. */
    private function hems(Planning $planning, SizingRequest $request, MakeUp $height): Strip
    {
        if ($request->options->choice('hem') === self::ALIKE) {
            return Strip::atLeast('hems', $height);
        }
        $shorter = self::hemShorterBy($request);
        $wall = $planning->score()->up($height->figure());

        return Strip::atMost('hems', MakeUp::of(new Term(TermKind::Wall, $wall), ...array_map(fn (Term $term) => new Term($term->kind, $term->amount->times(-1)), $shorter->terms)));
    }

    /** Whether each hem is shorter than its wall by the paper that it is folded round; null where there is no hem, or it is left alike in thin card. */
    public function hemLiesFlat(string $id, GridSheet $grid, SizingRequest $request): ?Fit
    {
        if (! $this->isDoubled || ($request->options->choice('hem') === self::ALIKE && ! $request->paper->caliper->isMoreThan(self::thinCard()))) {
            return null;
        }
        $shorter = [];
        foreach ([$grid->columns, $grid->rows] as $axis) {
            array_push($shorter, $axis->width(1)->minus($axis->width(0)), $axis->width(3)->minus($axis->width(4)));
        }
        $needed = self::hemShorterBy($request);

        return new Fit('hem-lies-flat', $needed->figure(), Length::min(...$shorter), $request->paper->caliper, Fit::handMiss(), $needed, piece: $id);
    }

    /** In card up to so thick many leave hem and wall alike; common practice, no source. */
    private static function thinCard(): Length
    {
        return Length::mm(3, 10);
    }

    /**
     * From the scored sheet to walls that stand, nothing glued yet.
     *
     * @param list<string> $advice for the flat sheet
     * @return list<WorkStep>
     */
    public function cutAndFold(PieceFigures $piece, array $advice = []): array
    {
        return [
            ...($this->isDoubled ? [new WorkStep(Deed::CutOut, $piece->id, faces: ['base'], advice: ['a-hair-inside-the-score'])] : []),
            new WorkStep(Deed::Slit, $piece->id, faces: self::TABS, advice: ['a-wedge-out-of-each-tab', ...$advice]),
            new WorkStep(Deed::Fold, $piece->id, faces: ['left-wall', 'right-wall', 'bottom-wall', 'top-wall'], onto: 'base'),
        ];
    }

    /**
     * Every tab inside the wall it lies along, and every hem inside its own.
     *
     * @return list<Join>
     */
    public function joins(string $piece): array
    {
        $tabs = [];
        foreach (['left', 'right'] as $side) {
            foreach (['bottom', 'top'] as $end) {
                $tabs[] = self::tabJoin($piece, $end, $side);
            }
        }

        return [...$tabs, ...$this->hemJoins($piece)];
    }

    /**
     * The corners first, then the hems.
     *
     * @param string $advice for the corners
     * @return list<WorkStep>
     */
    public function glue(string $piece, string $advice): array
    {
        $tabs = [];
        foreach (['bottom', 'top'] as $end) {
            foreach (['left', 'right'] as $side) {
                $tabs[] = self::tabJoin($piece, $end, $side);
            }
        }

        return [...WorkStep::glue($piece, $tabs, [$advice]), ...WorkStep::glue($piece, $this->hemJoins($piece))];
    }

    private static function tabJoin(string $piece, string $end, string $side): Join
    {
        return Join::of(JoinEnd::outside($piece, "$end-$side-tab"), JoinEnd::inside($piece, "$end-wall"));
    }

    /** @return list<Join> */
    private function hemJoins(string $piece): array
    {
        return $this->isDoubled ? array_map(fn (string $edge) => Join::of(JoinEnd::inside($piece, "$edge-hem"), JoinEnd::inside($piece, "$edge-wall")), ['left', 'right', 'bottom', 'top']) : [];
    }

    /**
     * What would save a lid that is too tight.
     *
     * @return list<string> codes of advice
     */
    public function whenTooTight(): array
    {
        return $this->isDoubled ? ['too-tight-take-the-hems-off'] : [];
    }

    /** A hem is shorter than its wall by the paper and a little, so that it lies flat. */
    private static function hemShorterBy(SizingRequest $request): MakeUp
    {
        return MakeUp::of(new Term(TermKind::Paper, $request->paper->caliper), new Term(TermKind::Margin, Fit::handMiss()));
    }

    public function pattern(string $piece, GridSheet $grid): Pattern
    {
        $c = $grid->columns->main;
        $r = $grid->rows->main;
        [$x1, $x2, $y1, $y2] = [$grid->columns->edge($c), $grid->columns->edge($c + 1), $grid->rows->edge($r), $grid->rows->edge($r + 1)];
        $height = $x1 - $grid->columns->edge($c - 1);
        // Inside the wall it is glued to, the one from the other corner beside it.
        [$tallY, $tallX] = [min($y1 - $grid->rows->edge($r - 1), ($x2 - $x1) / 2), $height];
        $wedge = min(self::WEDGE_MM, $height / 4, ($x2 - $x1) / 4, ($y2 - $y1) / 4);
        $builder = (new PatternBuilder)
            ->face('base', $grid->cell($c, $r))->standsOn('base')
            ->face('left-wall', $grid->cell($c - 1, $r), FaceRole::Wall)->hinge('base', 'left-wall', 90, "x$c")
            ->face('right-wall', $grid->cell($c + 1, $r), FaceRole::Wall)->hinge('base', 'right-wall', 90, 'x'.($c + 1))
            ->face('bottom-wall', $grid->cell($c, $r - 1), FaceRole::Wall)->hinge('base', 'bottom-wall', 90, "y$r")
            ->face('top-wall', $grid->cell($c, $r + 1), FaceRole::Wall)->hinge('base', 'top-wall', 90, 'y'.($r + 1));
        foreach (['left' => [$x1, -1, 'x'.$c], 'right' => [$x2, 1, 'x'.($c + 1)]] as $side => [$x, $out]) {
            foreach (['bottom' => [$y1, -1, "y$r"], 'top' => [$y2, 1, 'y'.($r + 1)]] as $end => [$y, $up]) {
                $tab = "$end-$side-tab";
                $builder->face($tab, Polygon::of([
                    new Point($x, $y), new Point($x + $out * $tallX, $y),
                    new Point($x + $out * $tallX, $y + $up * $tallY), new Point($x + $out * $wedge, $y + $up * $tallY),
                ]), FaceRole::Tab)->hinge("$side-wall", $tab, 90, $end === 'bottom' ? "y$r" : 'y'.($r + 1));
            }
        }

        $builder->twins('left-wall', 'right-wall')->twins('bottom-left-tab', 'bottom-right-tab')->twins('top-left-tab', 'top-right-tab');
        $hemmed = $this->isDoubled ? self::withHems($builder, $grid, $wedge) : $builder;

        return $hemmed->joined($piece, $this->joins($piece))->build();
    }

    private static function withHems(PatternBuilder $builder, GridSheet $grid, float $wedge): PatternBuilder
    {
        [$x1, $x2, $y1, $y2] = [$grid->columns->edge(2), $grid->columns->edge(3), $grid->rows->edge(2), $grid->rows->edge(3)];
        [$left, $right, $bottom, $top] = [$grid->columns->edge(1), $grid->columns->edge(4), $grid->rows->edge(1), $grid->rows->edge(4)];
        [$l, $r, $b, $t] = [0.0, $grid->columns->edge(5), 0.0, $grid->rows->edge(5)];

        $builder
            ->face('left-hem', Polygon::at([$left, $y1], [$left, $y2], [$l, $y2 - $wedge], [$l, $y1 + $wedge]), FaceRole::Hem)->hinge('left-wall', 'left-hem', 180, 'x1')
            ->face('right-hem', Polygon::at([$right, $y1], [$r, $y1 + $wedge], [$r, $y2 - $wedge], [$right, $y2]), FaceRole::Hem)->hinge('right-wall', 'right-hem', 180, 'x4')
            ->face('bottom-hem', Polygon::at([$x1, $bottom], [$x1 + $wedge, $b], [$x2 - $wedge, $b], [$x2, $bottom]), FaceRole::Hem)->hinge('bottom-wall', 'bottom-hem', 180, 'y1')
            ->face('top-hem', Polygon::at([$x1, $top], [$x2, $top], [$x2 - $wedge, $t], [$x1 + $wedge, $t]), FaceRole::Hem)->hinge('top-wall', 'top-hem', 180, 'y4');

        return $builder->twins('left-hem', 'right-hem');
    }
}
