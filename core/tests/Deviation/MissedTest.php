<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Deviation;

use Gimbo\Core\Deviation\Deviations;
use Gimbo\Core\Deviation\Missed;
use Gimbo\Core\Deviation\Redo;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a missed figure leaves, by the constructions' own geometry, worked out here by hand. */
final class MissedTest extends TestCase
{
    private const TRAY = ['make' => 'tray-and-lid', 'holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '20 mm'], 'system' => 'metric'];

    private const ENVELOPE = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm']];

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_what_was_set_right_is_good(string $make): void
    {
        $spec = ['make' => $make, 'holds' => ['width' => '105 mm', 'height' => '74 mm', 'thickness' => '6 mm'], 'system' => 'metric'];
        foreach (Sizing::ofEverything()->size($spec)->pieces as $piece) {
            foreach ($piece->measures as $i => $measure) {
                $missed = Sizing::ofEverything()->missed($spec, $piece->id, $i, $measure->at);
                self::assertNotNull($missed);
                self::assertSame([[], [], []], [$missed->changed, $missed->gone, $missed->rescues]);
            }
        }
    }

    /** Scores 3 mm too far in from every edge take 6 mm off the base both ways; a stray score can be ignored, and a card 6 mm less what there was to spare still goes in. */
    public function test_a_trays_scores_too_far_in(): void
    {
        $score = $this->measure(self::TRAY, 'tray', 'score');
        $missed = $this->missed(self::TRAY, 'tray', $score[0], $score[1]->plus(Length::mm(3)));
        self::assertEqualsCanonicalizing(['card-fits-width', 'card-fits-height'], array_values(array_filter(array_map(fn (Fit $fit) => $fit->id, $missed->gone), fn (string $id) => str_starts_with($id, 'card-fits'))));
        self::assertSame(Redo::ScoreAgain, $missed->redo);
        foreach ($missed->gone as $fit) {
            if ($fit->id === 'card-fits-width') {
                $short = $fit->need->minus($fit->have);
                self::assertTrue($missed->smaller === null || $missed->smaller->width->equals(Length::mm(105)->minus($short)));
            }
        }
    }

    /** A square cut 1/4 in too large only makes the face wider, and can be cut again; one too small cannot. */
    public function test_a_square_too_large_is_cut_again_and_one_too_small_is_not(): void
    {
        [$i, $side] = $this->measure(self::ENVELOPE, 'envelope', 'cut');
        $large = $this->missed(self::ENVELOPE, 'envelope', $i, $side->plus(Length::inches(1, 4)));
        self::assertSame(Redo::CutAgain, $large->redo);
        self::assertSame([], $large->gone);
        $small = $this->missed(self::ENVELOPE, 'envelope', $i, $side->minus(Length::inches(1, 4)));
        self::assertNull($small->redo);
        self::assertContains('card-fits-width', array_map(fn (Fit $fit) => $fit->id, $small->gone));
        // √2 · 1/4 in narrower, of which some was to spare.
        $width = current(array_filter($small->gone, fn (Fit $fit) => $fit->id === 'card-fits-width'));
        self::assertInstanceOf(Fit::class, $width);
        self::assertNotNull($small->smaller);
        self::assertEqualsWithDelta(-$width->slack()->toInches(), 5.5 - $small->smaller->width->toInches(), 1e-6);
    }

    /** Too little off the corner, and the foot stays farther in: 1 mm less on the ruler, cut again; too much cannot be put back. */
    public function test_a_slanted_cut_with_too_little_off_is_cut_again(): void
    {
        $spec = ['make' => 'slant-gate-card', 'holds' => ['width' => '108 mm', 'height' => '140 mm'], 'system' => 'metric', 'options' => ['flap' => '86 mm', 'tipDrop' => '42 mm', 'footInset' => '26 mm']];
        $design = Sizing::ofEverything()->size($spec);
        $foot = array_key_first(array_filter($design->pieces[0]->measures, fn ($measure) => $measure->setting === 'foot'));
        self::assertIsInt($foot);
        $right = $design->pieces[0]->measures[$foot]->at;
        self::assertSame(Redo::TrimAgain, $this->missed($spec, 'card', $foot, $right->minus(Length::mm(1)))->redo);
        $much = $this->missed($spec, 'card', $foot, $right->plus(Length::mm(14)));
        self::assertNull($much->redo);
        // The foot moves by l·k/√(l² − k²), l from the tip to the lower corner.
        $feet = array_values(array_filter($much->changed, fn (Fit $fit) => $fit->id === 'feet-meet'));
        self::assertCount(1, $feet);
        $tip = $design->pieces[0]->measures[$foot]->rail?->onRail->y ?? 0.0;
        $k = $right->toMillimetres() + 14;
        self::assertEqualsWithDelta(2 * ($design->pieces[0]->measures[2]->at->toMillimetres() - $tip * $k / sqrt($tip ** 2 - $k ** 2)), $feet[0]->have->toMillimetres(), 0.01);
        self::assertContains('feet-meet', array_map(fn (Fit $fit) => $fit->id, $much->gone));
    }

    /** A hem must be shorter than its wall by the paper and half a millimetre: scored half a millimetre nearer to the wall it is not. */
    public function test_hems_scored_too_far_in_do_not_lie_flat(): void
    {
        $spec = self::TRAY;
        $spec['options'] = ['lidWall' => 'doubled'];
        $hems = array_key_first(array_filter(Sizing::ofEverything()->size($spec)->piece('lid')->measures ?? [], fn ($measure) => $measure->setting === 'hems'));
        self::assertIsInt($hems);
        $missed = $this->missed($spec, 'lid', $hems, (Sizing::ofEverything()->size($spec)->piece('lid')->measures[$hems]->at ?? Length::zero())->plus(Length::mm(1, 2)));
        self::assertSame(['hem-lies-flat'], array_map(fn (Fit $fit) => $fit->id, $missed->gone));
        self::assertSame(Redo::ScoreAgain, $missed->redo);
    }

    /** From a mark m at the bottom to the second score b at the top, and its mirror image: they cross at (m + b)/2, and the tip is on the first score. */
    public function test_diamonds_whose_marks_or_scores_are_off_do_not_meet_in_a_point(): void
    {
        $spec = ['make' => 'diamond-card', 'holds' => ['width' => '152 mm', 'height' => '152 mm'], 'system' => 'metric'];
        $design = Sizing::ofEverything()->size($spec);
        $at = fn (string $kind): array => array_values(array_filter(array_map(fn ($m) => $m->kind->value === $kind && $m->from === 'left' ? $m->at->toMillimetres() : null, $design->pieces[0]->measures)));
        [[$m], [$a, $b]] = [$at('mark'), $at('score')];
        $fit = fn (Missed $missed): float => array_values(array_filter($missed->changed, fn (Fit $fit) => $fit->id === 'creases-meet'))[0]->have->toMillimetres();
        $mark = $this->measure($spec, 'card', 'mark');
        $missed = $this->missed($spec, 'card', $mark[0], $mark[1]->plus(Length::mm(3)));
        self::assertEqualsWithDelta(0.5 - abs(($m + 3 + $b) / 2 - $a), $fit($missed), 1e-6);
        self::assertSame([Redo::MarkAgain, ['creases-meet']], [$missed->redo, array_map(fn (Fit $fit) => $fit->id, $missed->gone)]);
        $score = $this->measure($spec, 'card', 'score');
        $missed = $this->missed($spec, 'card', $score[0], $score[1]->minus(Length::mm(2)));
        self::assertEqualsWithDelta(0.5 - abs(($m + $b) / 2 - ($a - 2)), $fit($missed), 1e-6);
    }

    /** Whatever is offered as a rescue does save it: tried here past the search, with both settings moved. */
    #[DataProvider('makes')]
    public function test_what_is_offered_to_save_it_does(string $make): void
    {
        $spec = ['make' => $make, 'holds' => ['width' => '105 mm', 'height' => '74 mm', 'thickness' => '8 mm'], 'system' => 'metric'];
        $sizing = Sizing::ofEverything();
        $plan = $sizing->plan($sizing->request($spec));
        $planned = $sizing->settle($plan);
        $rescued = 0;
        foreach ($planned->pieces as $piece) {
            foreach ($piece->measures as $i => $measure) {
                foreach ([-4, 4] as $by) {
                    $at = $measure->at->plus(Length::mm($by));
                    $missed = $at->isPositive() ? $sizing->missed($spec, $piece->id, $i, $at) : null;
                    foreach ($missed->rescues ?? [] as $rescue) {
                        $saved = $sizing->settle($plan->with($piece->id, $measure->setting, $at)->with($piece->id, $rescue->setting->name, $rescue->to));
                        self::assertSame([], Deviations::gone($planned, $saved));
                        $rescued++;
                    }
                    self::assertTrue($missed === null || $missed->gone === [] || $missed->changed !== []);
                }
            }
        }
        // What is set before it was missed cannot be set again: a punched square is not saved, a tray is.
        $make === 'tray-and-lid' && self::assertGreaterThan(0, $rescued);
    }

    public function test_a_figure_that_is_not_there_is_refused_and_one_that_leaves_nothing_is_null(): void
    {
        [$i] = $this->measure(self::ENVELOPE, 'envelope', 'punch');
        self::assertNull(Sizing::ofEverything()->missed(self::ENVELOPE, 'envelope', $i, Length::mm(1)));
        $this->expectException(InvalidDocument::class);
        Sizing::ofEverything()->missed(self::ENVELOPE, 'lid', 0, Length::mm(100));
    }

    /**
     * @param array<string, mixed> $spec
     * @return array{int, Length} the first measure of that kind, and where it belongs
     */
    private function measure(array $spec, string $piece, string $kind): array
    {
        foreach (Sizing::ofEverything()->size($spec)->pieces as $one) {
            foreach ($one->id === $piece ? $one->measures : [] as $i => $measure) {
                if ($measure->kind->value === $kind) {
                    return [$i, $measure->at];
                }
            }
        }
        self::fail("$piece has no $kind.");
    }

    /** @param array<string, mixed> $spec */
    private function missed(array $spec, string $piece, int $measure, Length $at): Missed
    {
        $missed = Sizing::ofEverything()->missed($spec, $piece, $measure, $at);
        self::assertNotNull($missed);

        return $missed;
    }
}
