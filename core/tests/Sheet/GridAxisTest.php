<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Sheet;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Tool\Tools;
use LogicException;
use PHPUnit\Framework\TestCase;

final class GridAxisTest extends TestCase
{
    public function test_outer_strips_fall_on_the_step_and_the_main_one_takes_what_is_left(): void
    {
        $axis = self::axis([Strip::atLeast('s1', self::mm(203, 10))], self::mm(1004, 10), [Strip::atLeast('s2', self::mm(151, 10))]);
        self::assertSame([21.0, 101.0, 16.0], self::widths($axis));
        self::assertSame(138.0, $axis->total->toMillimetres());
        self::assertSame(Length::mm(1358, 10)->ticks, $axis->exact->ticks);
        self::assertSame(101.0, $axis->main()->toMillimetres());
    }

    public function test_a_contained_strip_is_rounded_down_but_never_away(): void
    {
        $axis = self::axis([Strip::atMost('s1', self::mm(209, 10))], self::mm(100), [Strip::atMost('s2', self::mm(4, 10))]);
        self::assertSame([20.0, 100.0, 1.0], self::widths($axis));
    }

    public function test_a_contained_main_strip_is_never_more_than_it_needs(): void
    {
        $axis = self::axis([Strip::atMost('s1', self::mm(50))], self::mm(1009, 10), [], isContained: true);
        self::assertSame([50.0, 100.0], self::widths($axis));
    }

    /** Scores are counted from whichever edge they lie nearer to: a sheet is turned, a board has one fence. */
    public function test_scores_are_read_from_the_edge_they_are_counted_from(): void
    {
        $wall = [Strip::atLeast('s1', self::mm(10)), Strip::atLeast('s2', self::mm(20))];
        $read = fn (GridAxis $axis): array => array_map(fn (Measure $score) => [$score->from, $score->at->toMillimetres(), $score->creases], $axis->scores);
        $axis = self::axis($wall, self::mm(100), $wall, isAlike: true);
        self::assertSame([
            ['left', 10.0, ['x1']], ['left', 30.0, ['x2']], ['right', 30.0, ['x3']], ['right', 10.0, ['x4']],
        ], $read($axis));
        // Where the edges are not all alike they are read on: the same lines, one edge at the fence.
        $on = self::axis($wall, self::mm(100), $wall);
        self::assertSame([
            ['left', 10.0, ['x1']], ['left', 30.0, ['x2']], ['left', 130.0, ['x3']], ['left', 150.0, ['x4']],
        ], $read($on));
        self::assertSame($axis->edges, $on->edges);
        self::assertSame([0.0, 10.0, 30.0, 130.0, 150.0, 160.0], array_map($axis->edge(...), range(0, 5)));
    }

    public function test_a_cumulated_reading_is_made_of_all_it_spans(): void
    {
        $axis = self::axis([Strip::atLeast('s1', self::mm(104, 10)), Strip::atLeast('s2', self::mm(203, 10))], self::mm(100), []);
        self::assertSame($axis->scores[1]->at->ticks, $axis->scores[1]->madeOf->figure()->ticks);
        self::assertCount(4, $axis->scores[1]->madeOf->terms, 'two strips, each with its rounding');
    }

    public function test_a_sheet_is_scored_edge_by_edge_as_it_is_turned(): void
    {
        $wall = [Strip::atLeast('s1', self::mm(10)), Strip::atLeast('s2', self::mm(10))];
        $sheet = new GridSheet(self::axis($wall, self::mm(100), $wall, isAlike: true), self::axis($wall, self::mm(60), $wall, axis: Axis::Height, isAlike: true));
        $order = array_map(fn (Measure $measure) => "{$measure->kind->value} $measure->from {$measure->at->toMillimetres()}", $sheet->measures());
        self::assertSame([
            'cut left 140', 'cut top 100', 'score left 10', 'score left 20', 'score bottom 10', 'score bottom 20',
            'score right 10', 'score right 20', 'score top 10', 'score top 20',
        ], $order);
        self::assertEqualsWithDelta(100 * 60, $sheet->cell(2, 2)->area(), 1e-9);
        self::assertEqualsWithDelta(120 * 80, $sheet->cell(1, 1, 3, 3)->area(), 1e-9);
    }

    public function test_a_strip_that_is_not_there_is_misuse(): void
    {
        $this->expectException(LogicException::class);
        self::axis([], self::mm(100), [])->width(3);
    }

    /** A given score is taken as it is, and the sheet follows; one that is set otherwise afterwards leaves the sheet as it was cut. */
    public function test_a_given_setting_moves_what_is_planned_after_it_and_a_missed_one_does_not(): void
    {
        $planning = new Planning(Tools::usual(System::Metric), ['box/walls' => Length::mm(225, 10)]);
        $wall = [Strip::atLeast('walls', self::mm(20))];
        $plan = AxisPlan::of($planning, 'box', Axis::Width, $wall, self::mm(100), $wall, isAlike: true);
        self::assertSame([22.5, 100.0, 22.5], self::widths($plan->settle($planning->settings())));
        $free = new Planning(Tools::usual(System::Metric));
        $plan = AxisPlan::of($free, 'box', Axis::Width, $wall, self::mm(100), $wall, isAlike: true);
        self::assertSame([22.5, 95.0, 22.5], self::widths($plan->settle($free->settings()->with('box', 'walls', Length::mm(225, 10)))));
    }

    /** A sixteenth more puts the far score on an eighth from the near edge: taken, unless the sheet then comes out of the paper less often. */
    public function test_a_sheet_a_step_larger_saves_a_turn_where_it_costs_no_share_of_the_paper(): void
    {
        $paper = fn (?int $wide): ?Rectangle => $wide === null ? null : new Rectangle(Length::inches($wide), Length::inches($wide));
        $total = function (int $mainSixteenths, ?Rectangle $paper): float {
            $planning = new Planning(Tools::usual(System::Imperial), paper: $paper);
            $inches = fn (int $eighths): array => [Strip::atLeast("s$eighths", MakeUp::of(new Term(TermKind::Flap, Length::inches($eighths, 8))))];

            return AxisPlan::of($planning, 'piece', Axis::Width, $inches(8), MakeUp::of(new Term(TermKind::Flap, Length::inches($mainSixteenths, 16))), $inches(10))->settle($planning->settings())->total->toInches();
        };
        // 1 and 1 1/4 beside 3 9/16: 5 13/16, or 5 7/8; twice out of 12 either way. Out of 5 13/16 it would no longer come at all.
        self::assertSame(5.875, $total(57, $paper(12)));
        self::assertSame(5.8125, $total(57, new Rectangle(Length::inches(93, 16), Length::inches(93, 16))));
        // Beside 3 3/4 and a sixteenth: 6 1/16, once out of 12; 6 1/8 as often. Out of 12 1/8 the one comes twice, the other once.
        self::assertSame(6.125, $total(61, $paper(12)));
        self::assertSame(6.0625, $total(61, new Rectangle(Length::inches(97, 8), Length::inches(97, 8))));
        // On the eighth already: nothing to save.
        self::assertSame(6.0, $total(60, $paper(12)));
    }

    public function test_two_figures_of_one_name_are_misuse(): void
    {
        $this->expectException(LogicException::class);
        self::axis([Strip::atLeast('walls', self::mm(20))], self::mm(100), [Strip::atLeast('walls', self::mm(30))], isAlike: true);
    }

    /**
     * @param list<Strip> $before
     * @param list<Strip> $after
     */
    private static function axis(array $before, MakeUp $main, array $after, bool $isContained = false, Axis $axis = Axis::Width, bool $isAlike = false): GridAxis
    {
        $planning = new Planning(Tools::usual(System::Metric));

        return AxisPlan::of($planning, 'piece', $axis, $before, $main, $after, $isContained, isAlike: $isAlike)->settle($planning->settings());
    }

    private static function mm(int $numerator, int $denominator = 1): MakeUp
    {
        return MakeUp::of(new Term(TermKind::Flap, Length::mm($numerator, $denominator)));
    }

    /** @return list<float> */
    private static function widths(GridAxis $axis): array
    {
        return array_map(fn (Length $width) => $width->toMillimetres(), $axis->widths);
    }
}
