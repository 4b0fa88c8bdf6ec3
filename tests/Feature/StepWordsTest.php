<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Words\Sentence;
use App\Words\StepWords;
use App\Words\Words;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Exchange\StepPicture;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Telling\ByTool;
use Gimbo\Core\Telling\FigureText;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a maker reads and sees at a step is what its data says: all of it, and nothing that comes later. */
final class StepWordsTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_every_figure_of_a_step_stands_in_its_words_and_in_its_picture(string $make): void
    {
        $figures = 0;
        foreach (self::designs($make, 25) as $design) {
            $words = new StepWords(self::words(), $design);
            foreach (StepPicture::all($design, array_keys($design->steps())) as $i => $picture) {
                $step = $design->steps()[$i];
                $said = array_merge(...array_map(fn (Sentence $sentence) => $sentence->figures(), $words->of($i)));
                foreach (self::figuresOf($step, $design) as $figure) {
                    self::assertContains($figure, $said, "$step->id says");
                }
                foreach ($said as $figure) {
                    self::assertStringContainsString(htmlspecialchars($figure), self::textOf($picture), "$step->id shows");
                    $figures++;
                }
            }
        }
        self::assertGreaterThan(50, $figures);
    }

    /** Every fold says its direction and both faces, every join both partners and who covers it, every step something. */
    #[DataProvider('makes')]
    public function test_folds_and_joins_name_both_partners(string $make): void
    {
        $named = 0;
        foreach (self::designs($make, 10) as $design) {
            $words = new StepWords(self::words(), $design);
            $name = fn (string $face): string => self::words()->sentence("face.$face");
            foreach ($design->steps() as $i => $step) {
                $said = implode(' ', array_map(fn (Sentence $sentence) => $sentence->plain(), $words->of($i)));
                self::assertNotSame('', $said, $step->id);
                self::assertStringNotContainsString('{', $said);
                foreach ($step->ops as $op) {
                    if ($op instanceof FoldOp) {
                        self::assertStringContainsString($op->degrees < 0 ? 'Mountain: fold' : 'Valley: fold', $said);
                        self::assertStringContainsString($name($op->onto), $said);
                        self::assertTrue(str_contains($said, $name($op->moves)) || str_contains($said, ' tabs'), "$step->id: $op->moves");
                        $named++;
                    }
                    if ($op instanceof JoinOp) {
                        foreach ([$op->join->face->face, $op->join->onto->face, ...($op->hiddenBy === null ? [] : [$op->hiddenBy])] as $face) {
                            self::assertStringContainsString($name($face), $said, $step->id);
                        }
                        $named++;
                    }
                }
            }
        }
        self::assertGreaterThan(10, $named - ($make === 'folded-card' ? 0 : 1));
    }

    /** As many parts are missing in a step's picture as came off in the steps before it, in whichever order one works; what comes off now is shaded. */
    #[DataProvider('makes')]
    public function test_a_picture_shows_nothing_that_is_not_done_yet(string $make): void
    {
        $gone = 0;
        foreach (self::designs($make, 8) as $design) {
            foreach ([array_keys($design->steps()), ByTool::order($design)] as $order) {
                $before = [];
                $pictures = StepPicture::all($design, $order);
                foreach ($order as $i) {
                    $step = $design->steps()[$i];
                    $away = count(array_filter($step->ops, fn ($op) => $op instanceof AwayOp));
                    preg_match_all('/fill-rule="evenodd" d="([^"]*)"/', $pictures[$i], $sheets);
                    // Close up, the whole sheet stands beside it; of two that are joined, the step's own comes first.
                    $sheet = str_contains($pictures[$i], 'sp-frame') ? end($sheets[1]) : $sheets[1][0] ?? '';
                    self::assertSame(1 + ($before[$step->piece] ?? 0), substr_count((string) $sheet, 'M'), $step->id);
                    self::assertSame($away, substr_count($pictures[$i], 'class="sp-off"'), $step->id);
                    self::assertSame(count($step->folds()) > 0, str_contains($pictures[$i], 'sp-valley') || str_contains($pictures[$i], 'sp-mountain'), $step->id);
                    $before[$step->piece] = ($before[$step->piece] ?? 0) + $away;
                    $gone += $away;
                }
            }
        }
        self::assertSame(in_array($make, ['folded-card', 'lantern-card'], true), $gone === 0);
    }

    /** For a left hand the fence stands on the right, and the sheet is turned half round to it; the figure stays. */
    public function test_left_handed_makers_get_the_fence_on_their_side(): void
    {
        $design = self::sized(['make' => 'folded-card', 'holds' => ['width' => '105 mm', 'height' => '148 mm'], 'system' => 'metric']);
        $score = 1;
        self::assertSame('card/score/x1', $design->steps()[$score]->id);
        [$right, $left] = [StepPicture::all($design, [0, 1, 2])[$score], StepPicture::all($design, [0, 1, 2], isLeftHanded: true)[$score]];
        $fence = fn (string $picture): float => preg_match('/<rect class="sp-fence" x="([-\d.]+)"/', $picture, $at) === 1 ? (float) $at[1] : 0.0;
        self::assertLessThan(0.0, $fence($right));
        self::assertGreaterThan(400.0, $fence($left));
        $line = fn (string $picture): float => preg_match('/<line class="sp-now" x1="([-\d.]+)"/', $picture, $at) === 1 ? (float) $at[1] : 0.0;
        // In the middle of 210 either way.
        self::assertEqualsWithDelta($line($right), $line($left), 0.1);
        self::assertStringContainsString('>105 mm<', $left);
    }

    /** @return iterable<Design> */
    private static function designs(string $make, int $runs): iterable
    {
        mt_srand(77);
        for ($run = 0; $run < $runs; $run++) {
            yield self::sized(Specs::random($make));
        }
    }

    /** Holes before gluing, a dot when all is glued: with distances from two edges, in words and in the picture. */
    public function test_what_holds_a_flap_is_put_on_at_its_place_in_the_work(): void
    {
        foreach (['string' => ['disc', 'fold'], 'dot' => ['dot', 'close']] as $closure => [$what, $before]) {
            $design = self::sized(['make' => 'straight-envelope', 'closure' => $closure, 'holds' => ['width' => '148 mm', 'height' => '105 mm'], 'system' => 'metric', 'options' => ['topFlap' => '70 mm']]);
            $ids = array_map(fn (WorkStep $step) => $step->id, $design->steps());
            $at = array_search("envelope/$what", $ids, true);
            self::assertIsInt($at);
            self::assertSame("envelope/$before", $ids[$at + 1]);
            $said = implode(' ', array_map(fn (Sentence $sentence) => $sentence->plain(), (new StepWords(self::words(), $design))->of($at)));
            $closed = $design->pieces[0]->closure();
            $picture = StepPicture::all($design, array_keys($design->steps()))[$at];
            foreach ([$closed?->onFlap->x, $closed?->onFlap->y, $closed?->onBody?->y, $closed?->sizeMm] as $millimetres) {
                $figure = FigureText::of($design->request->tools, $millimetres ?? 0.0);
                self::assertStringContainsString($figure, $said);
                self::assertStringContainsString($figure, self::textOf($picture));
            }
        }
    }

    /** A doubled lid's play is said both ways: with its hems folded in, and a caliper more on each side with them cut off. */
    public function test_a_lids_play_is_said_both_ways(): void
    {
        $design = self::sized(['make' => 'tray-and-lid', 'holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '8 mm'], 'system' => 'metric', 'paper' => ['caliper' => '0.3 mm'], 'options' => ['lidWall' => 'doubled']]);
        $ids = array_map(fn (WorkStep $step) => $step->id, $design->steps());
        $try = (int) array_search('lid/try', $ids, true);
        $advice = implode(' ', array_map(fn (Sentence $sentence) => $sentence->plain(), (new StepWords(self::words(), $design))->advice($try)));
        // Two millimetres larger: 2 − 6 · 0.3 with the hems, 2 − 4 · 0.3 without.
        self::assertStringContainsString('should have 0.2 mm to spare', $advice);
        self::assertStringContainsString('with 0.8 mm to spare', $advice);
    }

    /** @param array<string, mixed> $spec */
    private static function sized(array $spec): Design
    {
        return Sizing::ofEverything()->size($spec);
    }

    private static function words(): Words
    {
        return Words::in('en', __DIR__.'/../../lang');
    }

    /** @return list<string> readings, distances beside lines, radii; no hairs, and no reading on an edge at nought */
    private static function figuresOf(WorkStep $step, Design $design): array
    {
        $text = fn (float $millimetres): string => FigureText::of($design->request->tools, $millimetres);
        $measures = $design->piece($step->piece)->measures ?? [];
        $figures = array_map(fn (int $measure): string => $measures[$measure]->text(), $step->measures);
        foreach ($step->ops as $op) {
            if ($op instanceof AwayOp) {
                array_push($figures, ...array_map(fn ($arc) => $text($arc->radius), $op->ring->arcs()));
            }
            $spots = match (true) {
                $op instanceof AwayOp && $op->ring->arcs() === [] && $step->do->value === 'cut-away' => $op->ring->corners(),
                $op instanceof LineOp && $op->kind->value === 'cut' && $op->on->line !== null => [$op->from, $op->to],
                default => [],
            };
            foreach ($spots as $spot) {
                foreach ([$spot->one, $spot->two] as $line) {
                    $figure = $line->off ?? ($line->edge !== null ? $line->at : 0.0);
                    $figure >= 1.0 && Length::nearestTo($figure)->isPositive() && $figures[] = $text($figure);
                }
            }
        }

        return array_values(array_unique($figures));
    }

    private static function textOf(string $picture): string
    {
        preg_match_all('~<text[^>]*>([^<]*)</text>~', $picture, $texts);

        return implode(' | ', $texts[1]);
    }
}
