<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Make;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Telling\ByTool;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The order in which makers work; common practice, no source. */
final class OrderOfWorkTest extends TestCase
{
    private const LATER = [
        [Deed::Cut], [Deed::Score, Deed::Punch], [Deed::Mark, Deed::CutAway, Deed::Slit, Deed::Round, Deed::Hole],
        [Deed::Fold], [Deed::Glue, Deed::Fill], [Deed::Close],
    ];

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function designs(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [['make' => $id]];
        }
        yield 'scored envelope' => [['make' => 'diagonal-envelope', 'options' => ['method' => 'score-board']]];
        yield 'doubled walls' => [['make' => 'tray-and-lid', 'options' => ['trayWall' => 'doubled', 'lidWall' => 'doubled']]];
        yield 'two sheets' => [['make' => 'slope-box', 'options' => ['sheets' => 2, 'dividers' => 3]]];
    }

    /** @param array<string, mixed> $spec */
    #[DataProvider('designs')]
    public function test_each_piece_is_cut_scored_cut_out_folded_and_glued_in_that_order(array $spec): void
    {
        $design = self::design($spec);
        $lastOf = [];
        foreach ($design->steps() as $step) {
            // A slant is scored from mark to mark; a pouch's sides are folded over what it holds.
            if ($step->do === Deed::TryFit || str_contains($step->id, '/slant') || $step->id === 'pouch/fold/sides') {
                continue;
            }
            $stage = array_key_first(array_filter(self::LATER, fn (array $deeds) => in_array($step->do, $deeds, true)));
            self::assertGreaterThanOrEqual($lastOf[$step->piece] ?? 0, $stage, "{$step->do->value} of $step->piece comes too late");
            $lastOf[$step->piece] = $stage;
        }
        self::assertNotSame([], $lastOf);
    }

    public function test_what_is_tried_on_is_folded_already_and_its_hems_not_glued_yet(): void
    {
        foreach (['single', 'doubled'] as $wall) {
            $lid = array_filter(self::design(['make' => 'tray-and-lid', 'options' => ['lidWall' => $wall]])->steps(), fn (WorkStep $step) => $step->piece === 'lid');
            $deeds = array_map(fn (WorkStep $step) => $step->do, array_values($lid));
            // Doubled, its corners are glued and the hems folded in and loose.
            $order = $wall === 'doubled' ? [Deed::Fold, Deed::Glue, Deed::TryFit, Deed::Glue] : [Deed::Fold, Deed::TryFit, Deed::Glue];
            self::assertSame($order, array_values(array_filter($deeds, fn (Deed $deed) => in_array($deed, [Deed::Fold, Deed::TryFit, Deed::Glue], true))));
        }
    }

    /** The real tray is measured, and the lid follows it: in whichever order one works. */
    public function test_a_tray_is_finished_before_its_lid_is_cut(): void
    {
        $design = self::design(['make' => 'tray-and-lid']);
        foreach ([array_keys($design->steps()), ByTool::order($design)] as $order) {
            $ids = array_map(fn (int $i) => $design->steps()[$i]->id, $order);
            self::assertLessThan(array_search('lid/cut', $ids, true), array_search('tray/glue/corners', $ids, true));
        }
    }

    /** Bottom first, then what it holds, the sides last. */
    public function test_a_pouch_is_filled_before_its_sides_are_glued(): void
    {
        $steps = self::design(['make' => 'corner-pouch'])->steps();
        self::assertSame(['pouch/fold/bottom', 'pouch/fill', 'pouch/fold/sides', 'pouch/glue'], array_map(fn (WorkStep $step) => $step->id, array_slice($steps, -4)));
        self::assertContains('do-not-score-the-top', $steps[1]->advice);
    }

    /** @param array<string, mixed> $spec */
    private static function design(array $spec): Design
    {
        return Sizing::ofEverything()->size($spec + ['holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in']]);
    }
}
