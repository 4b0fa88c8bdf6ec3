<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlopeBox;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Settings;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;

/**
 * Dividers as large as the back's mat, 1/4 in less than it both ways, their tabs staggered so that all can be read.
 * Common practice, no source, as are the tab's 1/2 in of height and 2 in of width where there is no tab punch.
 */
final class Dividers
{
    private const FACE = 'divider';

    private const FROM = 'tab-from';

    private const TO = 'tab-to';

    private const SHOULDER = 'shoulder';

    public static function id(int $n): string
    {
        return self::FACE."-$n";
    }

    /**
     * Its sheet, and where its tab stands: tabs side by side as far as they are to be read, in cycles where there are more than stand beside one
     * another; they begin and end on the trimmer's step. A tab that begins or ends with the divider is not marked there.
     *
     * @param int $n counted from 1
     * @param Length $width of the box between its sides
     * @param Length $height of its back
     */
    public static function plan(Planning $planning, int $n, int $count, Length $width, Length $height): GridPlan
    {
        $id = self::id($n);
        $less = fn (Axis $axis, Length $length, Term ...$more): AxisPlan => AxisPlan::of($planning, $id, $axis, [], MakeUp::of(
            new Term(TermKind::Face, $length), new Term(TermKind::Margin, Length::inches(-1, 4)), ...$more,
        ), [], isContained: true);
        $sheet = new GridPlan($less(Axis::Width, $width), $less(Axis::Height, $height, new Term(TermKind::Flap, self::tabHeight($planning))));
        $grid = $sheet->settle($planning->settings());
        [$cut, $w, $h] = [$planning->tools->cut, $grid->columns->total, $grid->rows->total];
        // Narrower, so that all stand beside one another, but not under an inch; else in cycles.
        $share = $cut->down($w->timesNearest(1, max(2, $count)));
        $tab = Length::max($cut->down(Length::min($planning->tools->punches->tab->width ?? Length::inches(2), $share->isLessThan(Length::inches(1)) ? $w->timesNearest(1, 2) : $share)), $cut->size);
        $beside = max(1, min($count, intdiv($w->ticks, $tab->ticks)));
        $from = $beside === 1 ? Length::zero() : $cut->down($w->minus($tab)->timesNearest(($n - 1) % $beside, $beside - 1));
        $to = $cut->down($from->plus($tab));
        $shoulder = Length::max($cut->down(Length::min(self::tabHeight($planning), $h->timesNearest(1, 2))), $cut->size);
        $set = fn (string $name, Length $at): mixed => $planning->set($id, $name, ToolKind::Trimmer, $at, $at, MakeUp::of(new Term(TermKind::Face, $at)));
        $from->isPositive() && $set(self::FROM, $from);
        $to->isLessThan($w) && $set(self::TO, $to);
        $shoulder->isLessThan($h->timesNearest(19, 20)) && $set(self::SHOULDER, $shoulder);

        return $sheet;
    }

    /** @return list<Measure> where its tab is marked */
    public static function marks(Settings $settings, string $id): array
    {
        $of = fn (string $name, Axis $axis, string $from): ?Measure => ($setting = $settings->find($id, $name)) === null ? null : Measure::of($setting, MeasureKind::Mark, $axis, $from);

        return array_values(array_filter([$of(self::FROM, Axis::Edge, 'left'), $of(self::TO, Axis::Edge, 'left'), $of(self::SHOULDER, Axis::Height, 'top')]));
    }

    public static function pattern(Settings $settings, string $id, GridSheet $grid): Pattern
    {
        return (new PatternBuilder)->face(self::FACE, self::outline($settings, $id, $grid))->layers(self::FACE)->build();
    }

    /** @return list<WorkStep> */
    public static function steps(GridWork $work, PieceFigures $piece): array
    {
        $bench = $work->bench;
        [$cut] = $work->cutAndScore();
        $low = $bench->height / 20;
        $steps = [$work->step('cut', Deed::Cut, $cut->with, [...$cut->ops, $bench->name(self::FACE, FaceRole::Panel, $bench->width / 2, $low)])];
        $has = [];
        foreach ($piece->measures as $i => $measure) {
            if ($measure->kind === MeasureKind::Mark) {
                $steps[] = $work->step("mark/$measure->setting", Deed::Mark, With::Pencil, [$work->mark($i, $measure->setting)]);
                $has[$measure->setting] = true;
            }
        }
        if (! isset($has[self::SHOULDER])) {
            return $steps;
        }
        foreach (['left' => self::FROM, 'right' => self::TO] as $side => $name) {
            if (isset($has[$name])) {
                $away = $bench->away(Waste::Corner, $bench->at($side, 'top'), $bench->at($side, self::SHOULDER), $bench->at($name, self::SHOULDER), $bench->at($name, 'top'));
                $steps[] = $work->step("shoulder/$side", Deed::CutAway, With::Scissors, [$away], about: [self::FACE]);
            }
        }

        return $steps;
    }

    private static function tabHeight(Planning $planning): Length
    {
        return $planning->tools->punches->tab->height ?? Length::inches(1, 2);
    }

    private static function outline(Settings $settings, string $id, GridSheet $grid): Polygon
    {
        [$w, $h] = [$grid->columns->total, $grid->rows->total->toMillimetres()];
        $at = fn (string $name): ?Length => $settings->find($id, $name)?->at;
        $left = ($at(self::FROM) ?? Length::zero())->toMillimetres();
        [$right, $wide] = [Length::min($at(self::TO) ?? $w, $w)->toMillimetres(), $w->toMillimetres()];
        $shoulder = $h - min(($at(self::SHOULDER) ?? Length::zero())->toMillimetres(), $h * 0.95);
        $left < $right || throw NothingLeft::of('tab');
        $corners = [[0, 0], [$wide, 0], [$wide, $shoulder], [$right, $shoulder], [$right, $h], [$left, $h], [$left, $shoulder], [0, $shoulder]];
        // Where a tab ends with the divider, two corners are one.
        $distinct = array_filter($corners, fn (array $corner, int $i) => hypot($corner[0] - $corners[($i + 7) % 8][0], $corner[1] - $corners[($i + 7) % 8][1]) > Tolerance::SAME_POINT_MM, ARRAY_FILTER_USE_BOTH);

        return Polygon::at(...array_values($distinct));
    }
}
