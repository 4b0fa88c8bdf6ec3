<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\TrayAndLid;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Fit\Band;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/** How the four walls round a base are made: one layer, or a second one (the hem) folded inside. */
final readonly class Wall
{
    public const SINGLE = 'single';

    public const DOUBLED = 'doubled';

    /** Hems scored nearer to the edge than walls, or like them. */
    public const NEARER = 'nearer-the-edge';

    public const ALIKE = 'like-the-wall';

    private const CORNERS = [['bottom', 'left'], ['bottom', 'right'], ['top', 'left'], ['top', 'right']];

    private const OPPOSITE = ['left' => 'right', 'right' => 'left', 'bottom' => 'top', 'top' => 'bottom'];

    /** The scores of the hems of a doubled wall. */
    private const HEMS = ['left' => 'x1', 'right' => 'x4', 'bottom' => 'y1', 'top' => 'y4'];

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
        $strips = $this->isDoubled ? [$this->hems($planning, $piece, $request, $height), $walls] : [$walls];

        return new GridPlan(
            AxisPlan::of($planning, $piece, Axis::Width, $strips, $length, $strips, band: $play, isAlike: true),
            AxisPlan::of($planning, $piece, Axis::Height, $strips, $width, $strips, band: $play, isAlike: true),
        );
    }

    /** As high as the wall, or shorter by the paper it is folded round and a little, which scored nearer to the edge it is. */
    private function hems(Planning $planning, string $piece, SizingRequest $request, MakeUp $height): Strip
    {
        if ($request->options->choice('hem') === self::ALIKE) {
            return Strip::atLeast('hems', $height);
        }
        $shorter = self::hemShorterBy($request, $piece);
        $wall = $planning->score()->up($height->figure());

        return Strip::atMost('hems', MakeUp::of(new Term(TermKind::Wall, $wall), ...array_map(fn (Term $term) => new Term($term->kind, $term->amount->times(-1)), $shorter->terms)));
    }

    /** Whether each hem is shorter than its wall by the paper that it is folded round; null where there is no hem, or it is left alike in thin card. */
    public function hemLiesFlat(string $id, GridSheet $grid, SizingRequest $request): ?Fit
    {
        if (! $this->isDoubled || ($request->options->choice('hem') === self::ALIKE && ! $request->caliperOf($id)->isMoreThan(self::thinCard()))) {
            return null;
        }
        $shorter = [];
        foreach ([$grid->columns, $grid->rows] as $axis) {
            array_push($shorter, $axis->width(1)->minus($axis->width(0)), $axis->width(3)->minus($axis->width(4)));
        }
        $needed = self::hemShorterBy($request, $id);

        return new Fit('hem-lies-flat', $needed->figure(), Length::min(...$shorter), $request->caliperOf($id), Fit::handMiss(), $needed, piece: $id);
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
    public function cutAndFold(GridWork $work, SizingRequest $request, array $advice = []): array
    {
        $corners = [];
        foreach (self::CORNERS as [$end, $side]) {
            if ($this->isDoubled || $this->isTabShort($work->grid, $request)) {
                $corners[] = $work->step("squares/$end-$side", Deed::CutAway, With::Scissors, $this->squares($work, $request, $end, $side));
            }
        }
        array_push($corners, ...$this->hemEnds($work, $request));
        foreach (self::CORNERS as $i => [$end, $side]) {
            $corners[] = $work->step("corner/$end-$side", Deed::Slit, With::Scissors, $this->tabCut($work, $request, $end, $side), advice: $i === 0 ? ['a-wedge-out-of-each-tab', ...$advice] : []);
        }

        return [...$corners, $work->step('fold', Deed::Fold, With::BoneFolder, $this->folds($work, $request), about: ['left-wall', 'right-wall', 'bottom-wall', 'top-wall'])];
    }

    /** @return list<Op> the little squares of a corner that come off, or what a tab is too long */
    private function squares(GridWork $work, SizingRequest $request, string $end, string $side): array
    {
        $bench = $work->bench;
        [$x, $y, $outX] = $this->linesAt($work, $end, $side);
        $tabEnd = $this->tabEnd($work, $request, $end);
        $ring = [$bench->at($side, $end), $bench->at($x, $end), $bench->at($x, $tabEnd), $bench->at($outX, $tabEnd)];
        if (! $this->isDoubled) {
            return [$bench->away(Waste::Corner, ...$ring)];
        }

        return [$bench->away(Waste::Corner, ...$ring, ...[$bench->at($outX, $y), $bench->at($side, $y)])];
    }

    /** @return list<WorkStep> what both ends of each hem lose, so that hems do not meet in the corners */
    private function hemEnds(GridWork $work, SizingRequest $request): array
    {
        $bench = $work->bench;
        $wedge = self::wedge($work->grid, $request)->toMillimetres();
        $steps = [];
        foreach ($this->isDoubled ? self::HEMS : [] as $edge => $hem) {
            $away = [];
            foreach (in_array($edge, ['left', 'right'], true) ? ['bottom', 'top'] : ['left', 'right'] as $beside) {
                [$x, $y] = in_array($edge, ['left', 'right'], true) ? $this->linesAt($work, $beside, $edge) : $this->linesAt($work, $edge, $beside);
                $score = in_array($edge, ['left', 'right'], true) ? $y : $x;
                $away[] = $bench->away(Waste::Taper, $bench->at($hem, $score), $bench->at($edge, $score), $bench->at($edge, $bench->beside($score, $wedge, self::OPPOSITE[$beside])));
            }
            $steps[] = $work->step("hem/$edge", Deed::CutAway, With::Scissors, $away, about: ["$edge-hem"]);
        }

        return $steps;
    }

    /** @return list<Op> the cut that frees a tab from the wall it is glued to, and a wedge off both its free edges */
    private function tabCut(GridWork $work, SizingRequest $request, string $end, string $side): array
    {
        $bench = $work->bench;
        [$x, $y, $outX] = $this->linesAt($work, $end, $side);
        $tabEnd = $this->tabEnd($work, $request, $end);
        $wedge = self::wedge($work->grid, $request)->toMillimetres();
        $inside = $this->isDoubled ? $bench->beside($outX, $wedge, self::OPPOSITE[$side]) : $bench->in($side, $wedge);

        return [
            $bench->draw(LineKind::Cut, "cut-$end-$side", $bench->line($x), $bench->at($x, $tabEnd), $bench->at($x, $y)),
            $bench->away(Waste::Wedge, $bench->at($x, $y), $bench->at($x, $tabEnd), $bench->at($bench->beside($x, $wedge, $side), $tabEnd)),
            $bench->away(Waste::Wedge, $bench->at($outX, $y), $bench->at($outX, $tabEnd), $bench->at($inside, $tabEnd)),
        ];
    }

    /** @return list<Op> */
    private function folds(GridWork $work, SizingRequest $request): array
    {
        [$c, $r] = [$work->grid->columns->main, $work->grid->rows->main];
        $cells = ['left' => [$c - 1, $r], 'right' => [$c + 1, $r], 'bottom' => [$c, $r - 1], 'top' => [$c, $r + 1]];
        $names = [$work->name('base', FaceRole::Panel, $c, $r)];
        $folds = $hems = [];
        foreach ($cells as $edge => [$column, $row]) {
            $names[] = $work->name("$edge-wall", FaceRole::Wall, $column, $row);
            $isAside = in_array($edge, ['left', 'right'], true);
            $line = match ($edge) {
                'left' => "x$c", 'right' => 'x'.($c + 1), 'bottom' => "y$r", default => 'y'.($r + 1),
            };
            $folds[] = $isAside ? $work->foldOnX("$edge-wall", 'base', 90, $line, $r) : $work->foldOnY("$edge-wall", 'base', 90, $line, $c);
            if ($this->isDoubled) {
                $names[] = $work->name("$edge-hem", FaceRole::Hem, $column + ($isAside ? $column - $c : 0), $row + ($isAside ? 0 : $row - $r));
                $hems[] = $isAside ? $work->foldOnX("$edge-hem", "$edge-wall", 180, self::HEMS[$edge], $r) : $work->foldOnY("$edge-hem", "$edge-wall", 180, self::HEMS[$edge], $c);
            }
        }
        foreach (self::CORNERS as [$end, $side]) {
            [$x, $y, $outX] = $this->linesAt($work, $end, $side);
            [$column, $foot] = [$cells[$side][0], $work->grid->rows->edge($end === 'bottom' ? $r : $r + 1)];
            $names[] = $work->bench->name("$end-$side-tab", FaceRole::Tab, ($work->grid->columns->edge($column) + $work->grid->columns->edge($column + 1)) / 2, $foot + ($end === 'bottom' ? -1 : 1) * self::tabLength($work->grid, $request)->toMillimetres() / 2);
            $folds[] = $work->bench->fold("$end-$side-tab", "$side-wall", 90, $y, $work->bench->at($outX, $y), $work->bench->at($x, $y));
        }

        return [...$names, ...$hems, ...$folds];
    }

    /** @return array{string, string, string} the scores of the base at a corner, and where the side wall ends: the score of its hem, or the sheet's edge */
    private function linesAt(GridWork $work, string $end, string $side): array
    {
        [$c, $r] = [$work->grid->columns->main, $work->grid->rows->main];

        return [
            'x'.($side === 'left' ? $c : $c + 1), 'y'.($end === 'bottom' ? $r : $r + 1),
            $this->isDoubled ? self::HEMS[$side] : $side,
        ];
    }

    /** Where a tab ends: with the wall, unless the base is too narrow for two so long beside one another. */
    private function tabEnd(GridWork $work, SizingRequest $request, string $end): Line
    {
        $y = $this->linesAt($work, $end, 'left')[1];

        return match (true) {
            $this->isTabShort($work->grid, $request) => $work->bench->beside($y, self::tabLength($work->grid, $request)->toMillimetres(), $end),
            $this->isDoubled => $work->bench->line(self::HEMS[$end]),
            default => $work->bench->line($end),
        };
    }

    private function isTabShort(GridSheet $grid, SizingRequest $request): bool
    {
        return self::tabLength($grid, $request)->isLessThan(self::height($grid));
    }

    private static function height(GridSheet $grid): Length
    {
        return $grid->rows->width($grid->rows->main - 1);
    }

    /** As long as the wall is high, but inside the wall it is glued to, where the one from the other corner lies too: on the trimmer's step. */
    private static function tabLength(GridSheet $grid, SizingRequest $request): Length
    {
        $half = $grid->columns->main()->timesNearest(1, 2);
        if (! $half->isLessThan(self::height($grid))) {
            return self::height($grid);
        }
        $onStep = $request->tools->cut->down($half);

        return $onStep->isPositive() ? $onStep : $half;
    }

    /** How wide the wedges are at a tab's end: about 3 mm on the trimmer's step (common practice, no source). */
    private static function wedge(GridSheet $grid, SizingRequest $request): Length
    {
        $cut = $request->tools->cut;
        $most = Length::min(self::height($grid), $grid->columns->main(), $grid->rows->main())->timesNearest(1, 4);
        $usual = Length::min(Length::max($cut->nearest(Length::mm(3)), $cut->size), Length::mm(5));

        return $usual->isMoreThan($most) ? ($cut->down($most)->isPositive() ? $cut->down($most) : $most) : $usual;
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

    /** @param string $advice for the corners */
    public function glueCorners(GridWork $work, string $advice): WorkStep
    {
        $tabs = array_map(fn (array $corner) => new JoinOp(self::tabJoin($work->bench->piece, ...$corner), $this->isDoubled ? "$corner[0]-hem" : null), self::CORNERS);

        return $work->step('glue/corners', Deed::Glue, With::WetGlue, $tabs, advice: [$advice]);
    }

    /** @return list<WorkStep> */
    public function glueHems(GridWork $work): array
    {
        $hems = array_map(fn (Join $join) => new JoinOp($join), $this->hemJoins($work->bench->piece));

        return $hems === [] ? [] : [$work->step('glue/hems', Deed::Glue, With::Tape, $hems)];
    }

    /**
     * A lid is tried before glue makes it too late: a doubled one with its corners glued and its hems folded in and loose.
     *
     * @param Length $play what it has to spare at its tightest place
     * @return list<WorkStep>
     */
    public function tryAndGlue(GridWork $work, Length $play, Length $paper): array
    {
        $try = $this->isDoubled
            // Without its hems it has a caliper more to spare on each side.
            ? $work->step('try', Deed::TryFit, null, advice: ['hems-folded-in-and-loose', 'play-with-hems', 'play-without-hems'], values: ['play' => $play, 'without' => $play->plus($paper->times(2))])
            : $work->step('try', Deed::TryFit, null, advice: ['play'], values: ['play' => $play]);
        $corners = $this->glueCorners($work, 'square-it-round-the-tray');

        return $this->isDoubled ? [$corners, $try, ...$this->glueHems($work)] : [$try, $corners];
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

    /** A hem is shorter than its wall by the paper and a little, so that it lies flat. */
    private static function hemShorterBy(SizingRequest $request, string $piece): MakeUp
    {
        return MakeUp::of(new Term(TermKind::Paper, $request->caliperOf($piece)), new Term(TermKind::Margin, Fit::handMiss()));
    }

    public function pattern(string $piece, GridSheet $grid, SizingRequest $request): Pattern
    {
        $c = $grid->columns->main;
        $r = $grid->rows->main;
        [$x1, $x2, $y1, $y2] = [$grid->columns->edge($c), $grid->columns->edge($c + 1), $grid->rows->edge($r), $grid->rows->edge($r + 1)];
        [$tallY, $tallX] = [self::tabLength($grid, $request)->toMillimetres(), $x1 - $grid->columns->edge($c - 1)];
        $wedge = self::wedge($grid, $request)->toMillimetres();
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
                    new Point($x + $out * ($tallX - $wedge), $y + $up * $tallY), new Point($x + $out * $wedge, $y + $up * $tallY),
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
