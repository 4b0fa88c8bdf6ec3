<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Work;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Setting\MeasureKind;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Work\ByTool;
use Gimbo\Core\Work\Lying;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LyingTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id, []];
        }
        yield 'scored' => ['diagonal-envelope', ['method' => 'score-board']];
        yield 'scored and deep' => ['deep-envelope', ['method' => 'score-board']];
        yield 'doubled' => ['tray-and-lid', ['trayWall' => 'doubled']];
    }

    /**
     * Turned as it is said, the score stands upright on the board, its reading away from the fence on the left.
     *
     * @param array<string, mixed> $options
     */
    #[DataProvider('makes')]
    public function test_the_score_lies_at_its_reading_from_the_fence(string $make, array $options): void
    {
        $spec = ['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in']];
        $design = Sizing::ofEverything()->size($options === [] ? $spec : $spec + ['options' => $options]);
        $scores = 0;
        foreach (Lying::of($design) as $i => $lying) {
            $step = $design->steps()[$i];
            if ($step->do !== Deed::Score) {
                continue;
            }
            $scores++;
            $piece = current(array_filter($design->pieces, fn ($one) => $one->id === $step->piece)) ?: $design->pieces[0];
            $measure = $piece->measures[$step->measures[0]];
            [$w, $h] = [$piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()];
            $turned = fn (Point $p): float => $p->x * cos(deg2rad($lying->turn)) + $p->y * sin(deg2rad($lying->turn));
            $fence = min(array_map($turned, [new Point(0, 0), new Point($w, 0), new Point($w, $h), new Point(0, $h)])) - ($measure->standoff?->toMillimetres() ?? 0.0);
            self::assertNotNull($lying->line);
            foreach ($lying->line as $end) {
                self::assertEqualsWithDelta($measure->at->toMillimetres(), $turned($end) - $fence, 0.001);
            }
            // The line on the sheet is the crease it makes.
            foreach ($measure->creases as $crease) {
                foreach ($piece->pattern()->edgesNamed($crease) as $edge) {
                    $on = $piece->pattern()->vertices[$piece->pattern()->edges[$edge]->from];
                    self::assertEqualsWithDelta($measure->at->toMillimetres(), $turned($on) - $fence, 0.01, "$crease of $piece->id");
                }
            }
            self::assertNotContains($step->measures[0], $lying->done);
        }
        $hasScores = array_filter($design->pieces, fn ($piece) => array_filter($piece->measures, fn ($measure) => $measure->kind === MeasureKind::Score) !== []);
        self::assertSame($hasScores !== [], $scores > 0);
    }

    public function test_a_slanted_cut_lies_along_the_rail_its_corner_at_the_reading(): void
    {
        $design = Sizing::ofEverything()->size(['make' => 'slant-gate-card', 'holds' => ['width' => '4 1/4 in', 'height' => '5 1/2 in', 'thickness' => '1 mm']]);
        $piece = $design->pieces[0];
        [$w, $h] = [$piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()];
        $corners = ['top-left' => new Point(0, $h), 'top-right' => new Point($w, $h), 'bottom-left' => new Point(0, 0), 'bottom-right' => new Point($w, 0)];
        $cuts = [];
        foreach (Lying::of($design) as $i => $lying) {
            if ($design->steps()[$i]->do !== Deed::Slant) {
                continue;
            }
            $measure = $piece->measures[$design->steps()[$i]->measures[0]];
            $across = fn (Point $p): float => $p->x * cos(deg2rad($lying->turn)) + $p->y * sin(deg2rad($lying->turn));
            self::assertNotNull($lying->line);
            [$onRail, $end] = array_map($across, $lying->line);
            self::assertEqualsWithDelta($onRail, $end, 0.001, 'upright');
            self::assertEqualsWithDelta($measure->at->toMillimetres(), $onRail - $across($corners[$measure->from]), 0.001, 'the corner on the left, as far as the ruler says');
            self::assertCount(1, $piece->pattern()->edgesAlong(...$lying->line), 'it is an edge of the finished card');
            // Both ends are corners of it.
            foreach ($lying->line as $point) {
                self::assertNotEmpty(array_filter($piece->pattern()->vertices, fn (Point $vertex) => $vertex->minus($point)->length() < 0.001));
            }
            $cuts[] = $measure->from;
        }
        self::assertSame(['top-left', 'top-right', 'bottom-left', 'bottom-right'], $cuts);
    }

    public function test_corner_up_the_other_corners_lie_on_a_groove(): void
    {
        foreach (['imperial' => 3.175, 'metric' => 1.0] as $system => $step) {
            $design = Sizing::ofEverything()->size(['make' => 'diagonal-envelope', 'system' => $system, 'holds' => ['width' => '105 mm', 'height' => '74 mm', 'thickness' => '1 mm'], 'options' => ['method' => 'score-board']]);
            $half = $design->pieces[0]->sheet->width->toMillimetres() / M_SQRT2;
            $scores = array_filter($design->pieces[0]->measures, fn ($measure) => $measure->kind === MeasureKind::Score);
            self::assertCount(4, $scores);
            foreach ($scores as $score) {
                $groove = $score->groove?->toMillimetres() ?? 0.0;
                self::assertEqualsWithDelta(0.0, fmod($groove + 1e-6, $step), 1e-5, 'there is a groove');
                // At or just past half the diagonal, the corner so much off the fence.
                self::assertGreaterThanOrEqual($half - 0.001, $groove);
                self::assertLessThan($half + $step, $groove);
                self::assertEqualsWithDelta($groove - $half, $score->standoff?->toMillimetres(), 0.001);
            }
        }
    }

    public function test_a_sheet_is_whole_until_something_is_cut_out_of_it(): void
    {
        $design = Sizing::ofEverything()->size(['make' => 'straight-envelope', 'holds' => ['width' => '6 3/4 in', 'height' => '3 3/4 in', 'thickness' => '1 mm']]);
        $whole = array_map(fn (Lying $lying) => $lying->isWhole, Lying::of($design));
        $deeds = array_map(fn ($step) => $step->do, $design->steps());
        $first = array_search(Deed::CutOut, $deeds, true);
        self::assertIsInt($first);
        self::assertSame([Deed::TryFit], array_values(array_filter(array_slice($deeds, 0, $first), fn (Deed $deed) => ! in_array($deed, [Deed::Cut, Deed::Score], true))));
        self::assertContains(Deed::TryFit, array_slice($deeds, $first));
        self::assertSame([...array_fill(0, $first, true), ...array_fill(0, count($deeds) - $first, false)], $whole);
    }

    public function test_what_is_laid_in_to_look_turns_no_sheet(): void
    {
        foreach ([['make' => 'diagonal-envelope'], ['make' => 'deep-envelope'], ['make' => 'diagonal-envelope', 'options' => ['method' => 'score-board']]] as $spec) {
            $design = Sizing::ofEverything()->size($spec + ['holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in']]);
            $lyings = Lying::of($design);
            $looks = array_keys(array_filter($design->steps(), fn ($step) => $step->do === Deed::TryFit));
            self::assertNotSame([], $looks);
            foreach ($looks as $i) {
                self::assertSame($lyings[$i - 1]->turn, $lyings[$i]->turn);
            }
        }
    }

    /** @param array<string, mixed> $options */
    #[DataProvider('makes')]
    public function test_by_tool_is_the_same_work_with_each_setting_once(string $make, array $options): void
    {
        $spec = ['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in']];
        $design = Sizing::ofEverything()->size($options === [] ? $spec : $spec + ['options' => $options]);
        $order = ByTool::order($design);
        $sorted = $order;
        sort($sorted);
        self::assertSame(array_keys($design->steps()), $sorted);
        $settings = [];
        foreach ($order as $i) {
            $step = $design->steps()[$i];
            $piece = current(array_filter($design->pieces, fn ($one) => $one->id === $step->piece));
            if (in_array($step->do, [Deed::Score, Deed::Punch], true) && $piece !== false) {
                $settings[] = $piece->measures[$step->measures[0]]->at->ticks;
            }
        }
        $changes = count(array_filter(array_keys($settings), fn (int $i) => $i === 0 || $settings[$i] !== $settings[$i - 1]));
        self::assertSame(count(array_unique($settings)), $changes, 'no setting is gone back to');
        self::assertSame(Deed::Cut, $design->steps()[$order[0]]->do);
    }
}
