<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlopeBox;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Figure\PieceFigures;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Setting\Axis;
use Gimbo\Core\Setting\Planning;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/**
 * Dividers as large as the back's mat, 1/4 in less than it both ways, their tabs staggered so that all can be read.
 * Common practice, no source, as are the tab's 1/2 in of height and 2 in of width.
 */
final class Dividers
{
    private const FACE = 'divider';

    public static function id(int $n): string
    {
        return self::FACE."-$n";
    }

    /**
     * @param Length $width of the box between its sides
     * @param Length $height of its back
     */
    public static function plan(Planning $planning, int $n, Length $width, Length $height): GridPlan
    {
        $less = fn (Axis $axis, Length $length, Term ...$more): AxisPlan => AxisPlan::of($planning, self::id($n), $axis, [], MakeUp::of(
            new Term(TermKind::Face, $length), new Term(TermKind::Margin, Length::inches(-1, 4)), ...$more,
        ), [], isContained: true);

        return new GridPlan($less(Axis::Width, $width), $less(Axis::Height, $height, new Term(TermKind::Flap, Length::inches(1, 2))));
    }

    /**
     * @param int $place counted from 0
     * @param Step $cut the trimmer's
     */
    public static function pattern(GridSheet $grid, int $place, int $count, Step $cut): Pattern
    {
        return (new PatternBuilder)->face(self::FACE, self::outline($grid, $place, $count, $cut))->layers(self::FACE)->build();
    }

    /** @return list<WorkStep> */
    public static function steps(PieceFigures $piece): array
    {
        return [...GridWork::cutAndScore($piece), new WorkStep(Deed::CutOut, $piece->id, faces: [self::FACE], advice: ['label-each-tab'])];
    }

    /**
     * Tabs side by side as far as they are to be read, in cycles where there are more than stand beside one another; they begin on
     * the trimmer's step.
     */
    private static function outline(GridSheet $grid, int $place, int $count, Step $cut): Polygon
    {
        [$w, $h] = [$grid->columns->total, $grid->rows->total->toMillimetres()];
        $shoulder = $h - min(Length::inches(1, 2)->toMillimetres(), $h / 2);
        // Narrower, so that all stand beside one another, but not under an inch; else in cycles.
        $share = $cut->down($w->timesNearest(1, max(2, $count)));
        $tab = Length::min(Length::inches(2), $share->isLessThan(Length::inches(1)) ? Length::max($cut->down($w->timesNearest(1, 2)), $cut->size) : $share);
        $beside = max(1, min($count, intdiv($w->ticks, $tab->ticks)));
        $from = $beside === 1 ? Length::zero() : $cut->down($w->minus($tab)->timesNearest($place % $beside, $beside - 1));
        [$left, $right, $wide] = [$from->toMillimetres(), min($from->plus($tab)->toMillimetres(), $w->toMillimetres()), $w->toMillimetres()];
        $corners = [[0, 0], [$wide, 0], [$wide, $shoulder], [$right, $shoulder], [$right, $h], [$left, $h], [$left, $shoulder], [0, $shoulder]];
        // Where a tab ends with the divider, two corners are one.
        $distinct = array_filter($corners, fn (array $corner, int $i) => hypot($corner[0] - $corners[($i + 7) % 8][0], $corner[1] - $corners[($i + 7) % 8][1]) > Tolerance::SAME_POINT_MM, ARRAY_FILTER_USE_BOTH);

        return Polygon::at(...array_values($distinct));
    }
}
