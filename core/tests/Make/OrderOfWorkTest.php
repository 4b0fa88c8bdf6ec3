<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Make;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The order in which makers work; common practice, no source. */
final class OrderOfWorkTest extends TestCase
{
    private const LATER = [
        [Deed::Cut], [Deed::Score, Deed::Punch], [Deed::Mark, Deed::ScoreSlants, Deed::Trim, Deed::Notch, Deed::CutOut, Deed::Taper, Deed::Slit, Deed::Slant, Deed::RoundCorners],
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
            if ($step->do === Deed::TryFit) {
                continue;
            }
            $stage = array_key_first(array_filter(self::LATER, fn (array $deeds) => in_array($step->do, $deeds, true)));
            self::assertGreaterThanOrEqual($lastOf[$step->piece] ?? 0, $stage, "{$step->do->value} of $step->piece comes too late");
            $lastOf[$step->piece] = $stage;
        }
        self::assertNotSame([], $lastOf);
    }

    public function test_what_is_tried_on_is_folded_already_and_not_glued_yet(): void
    {
        foreach (['single', 'doubled'] as $wall) {
            $lid = array_filter(self::design(['make' => 'tray-and-lid', 'options' => ['lidWall' => $wall]])->steps(), fn (WorkStep $step) => $step->piece === 'lid');
            $deeds = array_map(fn (WorkStep $step) => $step->do, array_values($lid));
            $tried = array_search(Deed::TryFit, $deeds, true);
            self::assertIsInt($tried);
            self::assertSame([Deed::Fold, Deed::TryFit, Deed::Glue], array_slice($deeds, $tried - 1, 3));
            self::assertNotContains(Deed::Glue, array_slice($deeds, 0, $tried));
        }
    }

    /** @param array<string, mixed> $spec */
    private static function design(array $spec): Design
    {
        return Sizing::ofEverything()->size($spec + ['holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in']]);
    }
}
