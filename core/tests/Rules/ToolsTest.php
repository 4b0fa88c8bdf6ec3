<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Rules;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Tool\ToolKind;
use PHPUnit\Framework\TestCase;

/** Tools as they are: each with its own scale, or two, its own reach; readings worked out by hand. */
final class ToolsTest extends TestCase
{
    private const TRAY = ['make' => 'tray-and-lid', 'system' => 'imperial', 'holds' => ['width' => '5 in', 'height' => '4 in', 'thickness' => '1/2 in'], 'paper' => ['caliper' => '0 mm'], 'clearance' => ['width' => '0 in', 'height' => '0 in', 'depth' => '0 in']];

    private const CARD = ['make' => 'folded-card', 'system' => 'imperial', 'holds' => ['width' => '4 3/16 in', 'height' => '5 in']];

    /** A millimetre plate beside a trimmer in inches: 1/2 in is 12.7, scored at 13 mm; 5 in and two walls of 13 are 6.0236, cut 6 1/16. */
    public function test_each_tool_has_its_own_scale(): void
    {
        $tray = self::sized(['tools' => ['score' => '1 mm']] + self::TRAY)->pieces[0];
        self::assertSame(['6 1/16 in', '5 1/16 in', '13 mm', '13 mm', '13 mm', '13 mm'], array_map(fn (Measure $measure) => $measure->text(), $tray->measures));
        self::assertSame(['width' => '6 1/16 in', 'height' => '5 1/16 in'], $tray->figures->cutText());
        foreach ($tray->measures as $measure) {
            self::assertTrue($measure->scale->divides($measure->at));
        }
    }

    /** Of two scales the one on which it falls better: 1/2 in is on the eighth, 0.6 in is 15.24: 5/8 is 15.875, 16 mm worse; 0.55 in is 13.97: 14 mm. */
    public function test_a_tool_with_two_scales_is_set_on_the_better(): void
    {
        $walls = function (string $deep): string {
            $tray = self::sized(['tools' => ['score' => ['scales' => ['1/8 in', '1 mm']]], 'holds' => ['thickness' => $deep] + self::TRAY['holds']] + self::TRAY)->pieces[0];

            return array_values(array_filter($tray->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Score))[0]->text();
        };
        self::assertSame(['1/2 in', '5/8 in', '14 mm'], [$walls('1/2 in'), $walls('0.6 in'), $walls('0.55 in')]);
        // Up to the nearer of 5/8 in (15.875) and 16 mm, down to the nearer of 1/2 in (12.7) and 15 mm.
        $both = Step::either(Step::of(Length::inches(1, 8)), Step::of(Length::mm(1)));
        self::assertSame([15.875, 15.0], [$both->up(Length::mm(153, 10))->toMillimetres(), $both->down(Length::mm(153, 10))->toMillimetres()]);
    }

    /** The trimmer's blade scores a card on its sixteenth, as far as its arm reaches; a box wants the board. */
    public function test_cards_are_scored_on_the_trimmer_and_boxes_on_the_board(): void
    {
        $spine = fn (array $tools): Measure => array_values(array_filter(self::sized(['tools' => $tools] + self::CARD)->pieces[0]->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Score))[0];
        $blade = ['trimmer-score' => ['step' => '1/16 in', 'reach' => '12 in']];
        self::assertSame([ToolKind::TrimmerScore, '4 3/16 in'], [$spine($blade)->tool, $spine($blade)->text()]);
        self::assertSame([ToolKind::ScoringBoard, '4 1/8 in'], [$spine([])->tool, $spine([])->text()]);
        $short = ['trimmer-score' => ['step' => '1/16 in', 'reach' => '3 in']];
        self::assertSame([ToolKind::ScoringBoard, '4 1/8 in'], [$spine($short)->tool, $spine($short)->text()]);
        self::assertNotContains(ToolKind::TrimmerScore, array_column(self::sized(['tools' => $blade] + self::TRAY)->pieces[0]->measures, 'tool'));
        $steps = array_filter(self::sized(['tools' => $blade] + self::CARD)->steps(), fn ($step) => $step->with === With::TrimmerScore);
        self::assertCount(1, $steps);
    }

    /** A ruler that runs from the left only reads S − p at the right end: the square is a step larger where that is not on the board's eighth. */
    public function test_a_punch_board_that_reads_one_way_only_says_the_other_reading(): void
    {
        $spec = ['make' => 'diagonal-envelope', 'system' => 'imperial', 'paper' => ['caliper' => '0 mm'], 'clearance' => ['width' => '0 in', 'height' => '0 in', 'depth' => '0 in']];
        $larger = 0;
        for ($sixteenths = 80; $sixteenths < 96; $sixteenths++) {
            $holds = ['width' => "$sixteenths/16 in", 'height' => '4 in', 'thickness' => '0.01 mm'];
            $both = self::sized(['holds' => $holds] + $spec)->pieces[0];
            $left = self::sized(['holds' => $holds, 'tools' => ['punch' => ['step' => '1/8 in', 'reads' => 'left', 'notch' => '0.44 in']]] + $spec)->pieces[0];
            $marks = array_values(array_filter($left->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Punch));
            self::assertSame(['left', 'left', 'left', 'left'], array_column($marks, 'from'));
            $readings = array_map(fn (Measure $measure) => $measure->at, $marks);
            self::assertTrue($readings[0]->plus($readings[1])->equals($left->sheet->width));
            self::assertSame([0, 0], array_map(fn (Length $at) => $at->ticks % Length::inches(1, 8)->ticks, array_slice($readings, 0, 2)));
            $more = $left->sheet->width->minus($both->sheet->width);
            self::assertTrue($more->isZero() || $more->equals(Length::inches(1, 16)));
            $larger += (int) $more->isPositive();
        }
        self::assertGreaterThan(0, $larger);
    }

    /** The ruler that slanted cuts are set by reaches 1 1/2 in, the board 12: each is held against its own. */
    public function test_reach_is_each_tools_own(): void
    {
        $card = ['make' => 'slant-gate-card', 'system' => 'imperial', 'holds' => ['width' => '4 1/4 in', 'height' => '5 1/2 in'], 'options' => ['flap' => '3 3/8 in', 'tipDrop' => '1.67 in', 'footInset' => '1.04 in']];
        $fails = fn (array $tools): bool => in_array('within-reach', array_column(self::sized(['tools' => $tools] + $card)->figures->failing(), 'id'), true);
        self::assertFalse($fails(['slant' => ['reach' => '1 1/2 in'], 'score' => ['step' => '1/8 in', 'reach' => '12 in']]));
        self::assertTrue($fails(['slant' => ['reach' => '1 1/4 in'], 'score' => ['step' => '1/8 in', 'reach' => '12 in']]));
        $reaching = fn (string $reach): array => ['slant' => ['reach' => '1 1/2 in'], 'score' => ['step' => '1/8 in', 'reach' => $reach]];
        self::assertTrue($fails($reaching('3 1/4 in')));
        $far = fn (string $reach): array => array_values(array_map(fn (Measure $measure) => "$measure->from {$measure->text()}", array_filter(self::sized(['tools' => $reaching($reach)] + $card)->pieces[0]->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Score)));
        self::assertSame(['left 3 3/8 in', 'left 7 5/8 in'], $far('7 5/8 in'));
        self::assertSame(['left 3 3/8 in', 'right 3 3/8 in'], $far('7 1/2 in'), 'no score is read on beyond the reach');
        self::assertFalse($fails($reaching('7 1/2 in')));
    }

    /** The organizer of the trade: 2 and 7, then 4 and 6: one turn instead of three. Which panel takes what the sheet is cut wrong by is said. */
    public function test_scores_are_read_on_as_the_maker_prefers(): void
    {
        $box = ['make' => 'slope-box', 'holds' => ['width' => '4 3/4 in', 'height' => '6 in', 'thickness' => '1 in'], 'paper' => ['caliper' => '0 mm'], 'options' => ['depth' => '2 in']];
        $read = fn (Design $design): array => array_values(array_filter(array_map(fn (Measure $measure) => $measure->kind === MeasureKind::Score ? "$measure->from {$measure->text()}" : null, $design->pieces[0]->measures)));
        self::assertSame(['left 2 in', 'left 7 in', 'bottom 4 in', 'bottom 6 in'], $read(self::sized($box)));
        self::assertSame(['left 2 in', 'bottom 4 in', 'bottom 6 in', 'right 2 in'], $read(self::sized(['tools' => ['readings' => 'each-edge']] + $box)));
        $turns = fn (Design $design): int => count(array_unique(array_map(fn ($step) => (string) $step->turn, array_filter($design->steps(), fn ($step) => $step->do === Deed::Score)))) - 1;
        self::assertSame([1, 2], [$turns(self::sized($box)), $turns(self::sized(['tools' => ['readings' => 'each-edge']] + $box))]);
        $advised = array_filter(self::sized($box)->steps(), fn ($step) => in_array('the-last-panel-takes-the-rest', $step->advice, true));
        self::assertSame([1], array_map(fn ($step) => $step->measures[0] - 2, array_values($advised)), 'the score at 7');
        // A tray's four edges are alike: one setting, every edge at the fence.
        self::assertSame(['left', 'bottom', 'right', 'top'], array_values(array_map(fn (Measure $measure) => $measure->from, array_filter(self::sized(self::TRAY)->pieces[0]->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Score))));
    }

    /** An envelope whose four flaps happen to be alike: one reading, every edge at the fence, one row of measures. */
    public function test_four_edges_alike_by_chance_are_one_reading(): void
    {
        $spec = ['make' => 'straight-envelope', 'system' => 'imperial', 'holds' => ['width' => '3 in', 'height' => '3 in', 'thickness' => '0.1 mm'], 'paper' => ['caliper' => '0 mm'], 'options' => ['topFlap' => '1 3/4 in', 'bottomFlap' => '1 3/4 in', 'sideFlap' => '1 3/4 in']];
        $read = fn (Design $design): array => array_values(array_filter(array_map(fn (Measure $measure) => $measure->kind === MeasureKind::Score ? "$measure->from {$measure->text()}" : null, $design->pieces[0]->measures)));
        self::assertSame(['left 1 3/4 in', 'bottom 1 3/4 in', 'right 1 3/4 in', 'top 1 3/4 in'], $read(self::sized($spec)));
        self::assertSame('bottom 5 in', $read(self::sized(['options' => ['topFlap' => '2 in'] + $spec['options']] + $spec))[3]);
    }

    public function test_what_is_typed_for_a_tool_keeps_what_else_is_known_of_it(): void
    {
        $sizing = Sizing::ofEverything();
        $edited = fn (array $spec, string $at, ?string $to): mixed => $sizing->edited($spec, [Change::set($at, $to)])['tools'] ?? null;
        self::assertSame(['cut' => ['scales' => ['1/16 in', '1 mm']]], $edited(self::TRAY, '/tools/cut', '1/16, 1 mm'));
        self::assertSame(['cut' => '1/32 in'], $edited(['tools' => ['cut' => ['scales' => ['1/16 in', '1 mm']]]] + self::TRAY, '/tools/cut', '1/32'));
        self::assertSame(['score' => ['step' => '2 mm', 'reach' => '300 mm']], $edited(['tools' => ['score' => ['step' => '1 mm', 'reach' => '300 mm']]] + self::TRAY, '/tools/score', '2 mm'));
        self::assertSame(['punch' => ['step' => '1/8 in', 'reads' => 'left']], $edited(['tools' => ['punch' => '1/8 in']] + self::TRAY, '/tools/punch/reads', 'left'));
        self::assertSame(['punch' => '1/8 in'], $edited(['tools' => ['punch' => ['step' => '1/8 in', 'reads' => 'left']]] + self::TRAY, '/tools/punch/reads', null));
        self::assertNull($edited(['tools' => ['cut' => '1/32 in']] + self::TRAY, '/tools/cut', null));
        $fields = $sizing->fields($sizing->request(['tools' => ['cut' => ['scales' => ['1/16 in', '1 mm']], 'score' => '1 mm']] + self::TRAY));
        self::assertSame(['1/16 in, 1 mm', '1 mm'], [$fields['/tools/cut']->text(), $fields['/tools/score']->text()]);
    }

    public function test_what_is_no_tool_is_refused_at_its_place(): void
    {
        foreach ([
            '/tools/cut/scales' => ['cut' => ['scales' => ['1 mm', '2 mm', '3 mm']]], '/tools/cut/scales/1' => ['cut' => ['scales' => ['1 mm', '0 mm']]],
            '/tools/score/stepp' => ['score' => ['stepp' => '1 mm']], '/tools/punch/reads' => ['punch' => ['step' => '1 mm', 'reads' => 'right']],
            '/tools/slant/step' => ['slant' => ['step' => '1 mm']], '/tools/readings' => ['readings' => 'any'], '/tools/score' => ['score' => 5],
        ] as $at => $tools) {
            try {
                self::sized(['tools' => $tools] + self::TRAY);
                self::fail("$at was taken.");
            } catch (InvalidDocument $error) {
                self::assertSame($at, $error->problems[0]->at);
            }
        }
    }

    /** @param array<string, mixed> $spec */
    private static function sized(array $spec): Design
    {
        return Sizing::ofEverything()->size($spec);
    }
}
