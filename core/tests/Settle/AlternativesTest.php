<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Settle;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\AlternativesWriter;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Alternative;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a step up or down of one figure does: by the constructions' own geometry, worked out here by hand. */
final class AlternativesTest extends TestCase
{
    private const ENVELOPE = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm']];

    /** Punched at p, the face is √2 · (p − d) high and √2 · (S − p − d) wide: 1/8 in on p is 0.177 in more one way and less the other. */
    public function test_a_punch_mark_moved_makes_the_face_higher_and_narrower(): void
    {
        foreach ([1, -1] as $steps) {
            $changes = self::changes(self::ENVELOPE, 'first-mark', $steps);
            $moved = 25.4 / 8 * M_SQRT2 * $steps;
            self::assertEqualsWithDelta($moved, $changes['card-fits-height'], 0.001);
            self::assertEqualsWithDelta(-$moved, $changes['card-fits-width'], 0.001);
        }
    }

    /** Whatever is set on a tool belongs to a setting that can be moved by itself, and a step one way or the other is offered for it. */
    public function test_every_figure_of_every_make_has_a_step_up_or_down(): void
    {
        $little = ['make' => 'diagonal-envelope', 'holds' => ['width' => '64 mm', 'height' => '46 mm', 'thickness' => '0.3 mm'], 'system' => 'metric'];
        $doubled = ['make' => 'tray-and-lid', 'options' => ['trayWall' => 'doubled', 'lidWall' => 'doubled']];
        $specs = [$little, $doubled, ...array_map(fn (string $make) => ['make' => $make], Makes::all()->ids())];
        foreach ($specs as $spec) {
            $spec += ['holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in']];
            $offered = [];
            foreach (Sizing::ofEverything()->alternatives($spec) as $one) {
                $offered[$one->setting->piece] = [...($offered[$one->setting->piece] ?? []), ...$one->measures];
            }
            foreach (Sizing::ofEverything()->size($spec)->pieces as $piece) {
                self::assertSame([], array_diff(array_keys($piece->measures), $offered[$piece->id] ?? []), "{$spec['make']}, $piece->id");
            }
        }
    }

    public function test_a_larger_square_only_makes_the_face_wider(): void
    {
        $changes = self::changes(self::ENVELOPE, 'sheet', 1);
        self::assertEqualsWithDelta(25.4 / 16 * M_SQRT2, $changes['card-fits-width'], 0.001);
        self::assertArrayNotHasKey('card-fits-height', $changes);
    }

    /** Scored 1/8 in nearer to both corners, the face is 1/4 in wider, and the seam loses 1/4 · √2 / 4 on each side. */
    public function test_scores_on_a_board_move_both_ends(): void
    {
        // 5 3/4 in and a millimetre and the paper: 47 eighths; with 1/8 in less room 46, and both halves alike.
        $changes = self::changes(['clearance' => ['width' => '1/8 in']] + self::ENVELOPE + ['options' => ['method' => 'score-board']], 'sides', -1);
        self::assertEqualsWithDelta(25.4 / 4, $changes['card-fits-width'], 0.001);
        self::assertEqualsWithDelta(-25.4 / 4 / M_SQRT2, $changes['seam-takes-glue'], 0.001);
    }

    /** Scores at one distance from all four edges are one setting: the base loses twice the step both ways, the wall gains it. */
    public function test_a_trays_one_score_moves_all_four_walls(): void
    {
        $spec = ['make' => 'tray-and-lid', 'holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '20 mm'], 'system' => 'metric'];
        $score = current(array_filter(Sizing::ofEverything()->alternatives($spec), fn (Alternative $one) => $one->setting->piece === 'tray' && $one->steps === 1 && count($one->measures) === 4));
        self::assertInstanceOf(Alternative::class, $score);
        $changes = self::against($spec, $score);
        self::assertEqualsWithDelta(-2.0, $changes['card-fits-width'], 0.001);
        self::assertEqualsWithDelta(-2.0, $changes['card-fits-height'], 0.001);
        self::assertEqualsWithDelta(1.0, $changes['card-fits-depth'], 0.001);
    }

    /** Two fits that hold as the pieces are sized do fail once a figure is missed. */
    public function test_what_holds_by_its_own_sizing_fails_when_a_figure_is_missed(): void
    {
        foreach (['note-wallet' => 'spine-takes-both-pockets', 'lantern-card' => 'light-stands-between', 'tray-and-lid' => 'lid-goes-on'] as $make => $fit) {
            $spec = ['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '2 mm']];
            $ofThat = array_values(array_filter(Sizing::ofEverything()->size($spec)->fits, fn (Fit $one) => $one->id === $fit));
            self::assertTrue($ofThat[0]->isOk());
            $failing = array_filter(Sizing::ofEverything()->alternatives($spec), fn (Alternative $one) => array_filter($one->changed, fn (Fit $changed) => $changed->id === $fit && ! $changed->isOk()) !== []);
            self::assertNotSame([], $failing, $fit);
        }
    }

    #[DataProvider('makes')]
    public function test_every_setting_has_its_neighbours_and_none_crashes(string $make): void
    {
        mt_srand(77);
        $sizing = Sizing::ofEverything();
        $sized = 0;
        for ($run = 0; $run < 120; $run++) {
            $spec = $run % 3 === 0 ? Specs::absurd($make) : Specs::random($make);
            try {
                $alternatives = $sizing->alternatives($spec);
            } catch (InvalidDocument) {
                continue;
            }
            $sized++;
            foreach ($alternatives as $one) {
                // A step of one of the tool's scales, more or less of what is read.
                self::assertSame($one->setting->scale->size->ticks, abs($one->at->minus($one->setting->at)->ticks));
            }
            json_encode(AlternativesWriter::write($alternatives, System::Metric), JSON_THROW_ON_ERROR);
        }
        self::assertGreaterThan(60, $sized);
    }

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    /**
     * @param array<string, mixed> $spec
     * @return array<string, float> how much more room each fit has, mm
     */
    private static function changes(array $spec, string $setting, int $steps): array
    {
        $found = array_filter(Sizing::ofEverything()->alternatives($spec), fn (Alternative $one) => $one->setting->name === $setting && $one->steps === $steps);
        self::assertCount(1, $found);

        return self::against($spec, array_values($found)[0]);
    }

    /**
     * @param array<string, mixed> $spec
     * @return array<string, float>
     */
    private static function against(array $spec, Alternative $one): array
    {
        $before = [];
        foreach (Sizing::ofEverything()->size($spec)->fits as $fit) {
            $before[$fit->id] = $fit->have->toMillimetres();
        }
        $changes = [];
        foreach ($one->changed as $fit) {
            $changes[$fit->id] = $fit->have->toMillimetres() - $before[$fit->id];
        }

        return $changes;
    }
}
