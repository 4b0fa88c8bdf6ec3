<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\TrayAndLid;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Make\Shared\GridPiece;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/** How the four walls round a base are made: one layer, or a second one (the hem) folded inside. */
final readonly class Wall
{
    public const SINGLE = 'single';

    public const DOUBLED = 'doubled';

    /** A wedge out of each corner tab keeps the corner from bulging. */
    private const WEDGE_MM = 3.0;

    /** The setting that trims all hems. */
    private const HEMS = 'hems';

    private const TABS = ['bottom-left-tab', 'bottom-right-tab', 'top-left-tab', 'top-right-tab'];

    private function __construct(private bool $isDoubled)
    {
    }

    public static function of(string $choice): self
    {
        return new self($choice === self::DOUBLED);
    }

    /** Calipers between the base's scores and the free room: half of each wall, and the hems. */
    public function calipersInside(): int
    {
        return $this->isDoubled ? 3 : 1;
    }

    /** Calipers a lid of this wall needs over a tray, between the scores of both. */
    public function calipersOver(): int
    {
        return $this->isDoubled ? 4 : 2;
    }

    public function grid(MakeUp $length, MakeUp $width, MakeUp $height, Tools $tools): GridSheet
    {
        $wall = array_fill(0, $this->isDoubled ? 2 : 1, Strip::atLeast($height));

        return new GridSheet(GridAxis::of(Axis::Width, $wall, $length, $wall, $tools), GridAxis::of(Axis::Height, $wall, $width, $wall, $tools));
    }

    public function piece(string $id, GridSheet $grid, SizingRequest $request, ?Polygon $contents): Piece
    {
        $trim = $this->hemTrim($id, $request, $grid);

        return GridPiece::of($id, $grid, $this->pattern($grid, $trim->figure()->toMillimetres()), $contents, $this->isDoubled ? self::trims($trim) : []);
    }

    /** Whether each hem is shorter than its wall by the paper that it is folded round; null where there is no hem. */
    public function hemLiesFlat(string $id, GridSheet $grid, SizingRequest $request): ?Fit
    {
        if (! $this->isDoubled) {
            return null;
        }
        $shorter = [];
        foreach ([$grid->columns, $grid->rows] as $axis) {
            array_push($shorter, $axis->width(1)->minus($axis->width(0)), $axis->width(3)->minus($axis->width(4)));
        }
        $needed = self::hemShorterBy($request);

        return new Fit('hem-lies-flat', $needed->figure(), Length::min(...$shorter)->plus($this->hemTrim($id, $request, $grid)->figure()), $request->paper->caliper, Fit::handMiss(), $needed, piece: $id);
    }

    /**
     * From the scored sheet to walls that stand, nothing glued yet.
     *
     * @param list<string> $advice for the flat sheet
     * @return list<WorkStep>
     */
    public function cutAndFold(Piece $piece, array $advice = []): array
    {
        $trims = array_keys(array_filter($piece->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Trim));

        return [
            ...($trims === [] ? [] : [
                new WorkStep(Deed::Trim, $piece->id, with: ToolKind::Trimmer, measures: $trims, advice: ['hems-shorter-than-walls']),
                new WorkStep(Deed::CutOut, $piece->id, faces: ['base'], advice: ['a-hair-inside-the-score']),
            ]),
            new WorkStep(Deed::Slit, $piece->id, faces: self::TABS, advice: ['a-wedge-out-of-each-tab', ...$advice]),
            new WorkStep(Deed::Fold, $piece->id, faces: ['left-wall', 'right-wall', 'bottom-wall', 'top-wall'], onto: 'base'),
        ];
    }

    /**
     * The corners first, then the hems.
     *
     * @param string $advice for the corners
     * @return list<WorkStep>
     */
    public function glue(Piece $piece, string $advice): array
    {
        return [
            new WorkStep(Deed::Glue, $piece->id, faces: self::TABS, onto: 'bottom-wall', advice: [$advice]),
            ...($this->isDoubled ? [new WorkStep(Deed::Glue, $piece->id, faces: ['left-hem', 'right-hem', 'bottom-hem', 'top-hem'], onto: 'left-wall')] : []),
        ];
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

    /** What comes off each hem: never all of it. */
    private function hemTrim(string $id, SizingRequest $request, GridSheet $grid): MakeUp
    {
        $madeOf = self::hemShorterBy($request);
        $trim = $request->tools->cut->up($madeOf->figure());
        if (! $trim->isLessThan($grid->columns->width(0))) {
            return MakeUp::of();
        }
        $set = $trim->plus($request->tools->for($id)->moved(self::HEMS));
        $set->isPositive() && $set->isLessThan($grid->columns->width(0)) || throw NothingLeft::of('hem');

        return $madeOf->roundedTo($set);
    }

    /** @return list<Measure> */
    private static function trims(MakeUp $trim): array
    {
        if ($trim->figure()->isZero()) {
            return [];
        }

        return array_map(
            fn (string $edge) => new Measure(MeasureKind::Trim, ToolKind::Trimmer, in_array($edge, ['left', 'right'], true) ? Axis::Width : Axis::Height, $edge, $trim->figure(), $trim, setting: self::HEMS),
            GridSheet::TURNS,
        );
    }

    private function pattern(GridSheet $grid, float $trim): Pattern
    {
        $c = $grid->columns->main;
        $r = $grid->rows->main;
        [$x1, $x2, $y1, $y2] = [$grid->columns->edge($c), $grid->columns->edge($c + 1), $grid->rows->edge($r), $grid->rows->edge($r + 1)];
        $height = $x1 - $grid->columns->edge($c - 1);
        [$tallY, $tallX] = [$y1 - $grid->rows->edge($r - 1), $height];
        $wedge = min(self::WEDGE_MM, $height / 4, ($x2 - $x1) / 4, ($y2 - $y1) / 4);
        $builder = (new PatternBuilder)
            ->face('base', $grid->cell($c, $r))
            ->face('left-wall', $grid->cell($c - 1, $r))->hinge('base', 'left-wall', 90, "x$c")
            ->face('right-wall', $grid->cell($c + 1, $r))->hinge('base', 'right-wall', 90, 'x'.($c + 1))
            ->face('bottom-wall', $grid->cell($c, $r - 1))->hinge('base', 'bottom-wall', 90, "y$r")
            ->face('top-wall', $grid->cell($c, $r + 1))->hinge('base', 'top-wall', 90, 'y'.($r + 1));
        foreach (['left' => [$x1, -1, 'x'.$c], 'right' => [$x2, 1, 'x'.($c + 1)]] as $side => [$x, $out]) {
            foreach (['bottom' => [$y1, -1, "y$r"], 'top' => [$y2, 1, 'y'.($r + 1)]] as $end => [$y, $up]) {
                $tab = "$end-$side-tab";
                $builder->face($tab, Polygon::of([
                    new Point($x, $y), new Point($x + $out * $tallX, $y),
                    new Point($x + $out * $tallX, $y + $up * $tallY), new Point($x + $out * $wedge, $y + $up * $tallY),
                ]))->hinge("$side-wall", $tab, 90, $end === 'bottom' ? "y$r" : 'y'.($r + 1))->glue($tab, "$end-wall");
            }
        }

        return ($this->isDoubled ? self::withHems($builder, $grid, $trim, $wedge) : $builder)->build();
    }

    private static function withHems(PatternBuilder $builder, GridSheet $grid, float $trim, float $wedge): PatternBuilder
    {
        [$x1, $x2, $y1, $y2] = [$grid->columns->edge(2), $grid->columns->edge(3), $grid->rows->edge(2), $grid->rows->edge(3)];
        [$left, $right, $bottom, $top] = [$grid->columns->edge(1), $grid->columns->edge(4), $grid->rows->edge(1), $grid->rows->edge(4)];
        [$l, $r, $b, $t] = [$trim, $grid->columns->edge(5) - $trim, $trim, $grid->rows->edge(5) - $trim];

        return $builder
            ->face('left-hem', Polygon::at([$left, $y1], [$left, $y2], [$l, $y2 - $wedge], [$l, $y1 + $wedge]))->hinge('left-wall', 'left-hem', 180, 'x1')->glue('left-hem', 'left-wall')
            ->face('right-hem', Polygon::at([$right, $y1], [$r, $y1 + $wedge], [$r, $y2 - $wedge], [$right, $y2]))->hinge('right-wall', 'right-hem', 180, 'x4')->glue('right-hem', 'right-wall')
            ->face('bottom-hem', Polygon::at([$x1, $bottom], [$x1 + $wedge, $b], [$x2 - $wedge, $b], [$x2, $bottom]))->hinge('bottom-wall', 'bottom-hem', 180, 'y1')->glue('bottom-hem', 'bottom-wall')
            ->face('top-hem', Polygon::at([$x1, $top], [$x2, $top], [$x2 - $wedge, $t], [$x1 + $wedge, $t]))->hinge('top-wall', 'top-hem', 180, 'y4')->glue('top-hem', 'top-wall');
    }
}
