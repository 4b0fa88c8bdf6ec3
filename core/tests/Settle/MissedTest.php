<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Settle;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Deviations;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\Missed;
use Gimbo\Core\Settle\Redo;
use Gimbo\Core\Settle\Verdict;
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
                self::assertSame([[], [], [], []], [$missed->changed, $missed->gone, $missed->rescues, $missed->follow]);
                self::assertSame([Verdict::Good, null, false], [$missed->verdict, $missed->takes, $missed->isFromOtherEdge], "$make $piece->id $i");
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
                foreach ([-3, 4] as $by) {
                    $at = $measure->at->plus(Length::mm($by));
                    if (! $at->isPositive()) {
                        continue;
                    }
                    $missed = $sizing->missed($spec, $piece->id, $i, $at);
                    foreach ($missed->rescues as $rescue) {
                        $really = $measure->across?->minus($missed->at) ?? $missed->at;
                        $given = array_map(fn ($setting) => $setting->at, array_filter($plan->with($piece->id, $measure->setting, $really)->settings->all, fn ($setting) => self::isCut($planned, $setting->piece, $piece->id)));
                        $asItIs = count($planned->pieces) === 1 ? $plan->with($piece->id, $measure->setting, $really) : $sizing->plan($plan->request, $given);
                        $saved = $sizing->settle($asItIs->with($piece->id, $rescue->setting->name, $rescue->to));
                        $left = Deviations::gone($planned, $saved);
                        self::assertNotSame(Verdict::Bad, Missed::verdict($left));
                        $missed->verdict === Verdict::Tighter && self::assertSame([], $left);
                        $rescued++;
                    }
                    self::assertTrue($missed->gone === [] || $missed->changed !== []);
                }
            }
        }
        // What is set before it was missed cannot be set again: a punched square is not saved, a tray is.
        $make === 'tray-and-lid' && self::assertGreaterThan(0, $rescued);
    }

    public function test_a_figure_that_is_not_there_is_refused_and_one_that_leaves_nothing_says_so(): void
    {
        [$i] = $this->measure(self::ENVELOPE, 'envelope', 'punch');
        $missed = Sizing::ofEverything()->missed(self::ENVELOPE, 'envelope', $i, Length::mm(1));
        self::assertSame([Verdict::NothingLeft, null], [$missed->verdict, $missed->redo]);
        $this->expectException(InvalidDocument::class);
        Sizing::ofEverything()->missed(self::ENVELOPE, 'lid', 0, Length::mm(100));
    }

    /** Whether a piece is cut when another is: it is that one, or comes before it. */
    private static function isCut(Figures $planned, string $piece, string $missed): bool
    {
        $ids = array_column($planned->pieces, 'id');

        return array_search($piece, $ids, true) <= array_search($missed, $ids, true);
    }

    /**
     * The tray of 146 × 191 cut 148 wide: what is cut stays, and the lid follows: from 148.2 to 150.2 between its scores and play, so its
     * sheet is 2 mm wider, and as high as it was.
     */
    public function test_a_tray_cut_too_large_takes_its_lid_with_it(): void
    {
        $spec = ['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '105 mm', 'height' => '150 mm', 'thickness' => '12 mm'], 'clearance' => ['width' => '0.7 mm', 'height' => '0.1 mm'], 'options' => ['depth' => '2 cm', 'lidWall' => 'doubled', 'hem' => 'like-the-wall']];
        $missed = $this->missed($spec, 'tray', 0, Length::mm(148));
        self::assertSame([Verdict::Good, []], [$missed->verdict, $missed->gone]);
        self::assertCount(1, $missed->follow);
        self::assertSame(['lid', [0]], [$missed->follow[0]->piece->id, $missed->follow[0]->measures]);
        self::assertSame(150.0, $missed->follow[0]->piece->measures[0]->at->toMillimetres());
        // Scored at 19 for 20 the base is 2 mm larger both ways, and a millimetre lower: its lid follows both ways.
        $scored = $this->missed($spec, 'tray', 2, Length::mm(19));
        self::assertSame([150.0, 195.0], array_map(fn (int $i) => $scored->follow[0]->piece->measures[$i]->at->toMillimetres(), [0, 1]));
    }

    /** The lid's own figures change nothing that is cut before it. */
    public function test_what_was_missed_on_a_later_piece_leaves_the_earlier_alone(): void
    {
        $lid = $this->missed(self::TRAY, 'lid', 0, (Sizing::ofEverything()->size(self::TRAY)->piece('lid')->measures[0]->at ?? Length::zero())->plus(Length::mm(14)));
        self::assertSame([], $lid->follow);
        self::assertSame(['lid-goes-on'], array_map(fn (Fit $fit) => $fit->id, $lid->gone));
        self::assertSame([Verdict::Bad, Redo::CutAgain], [$lid->verdict, $lid->redo]);
    }

    /** A stray score, so far off that nothing would be left of the base, does no harm: it is scored again. */
    public function test_a_stray_score_is_scored_again(): void
    {
        $score = $this->measure(self::TRAY, 'tray', 'score');
        $missed = $this->missed(self::TRAY, 'tray', $score[0], Length::mm(80));
        self::assertSame([Verdict::NothingLeft, Redo::ScoreAgain], [$missed->verdict, $missed->redo]);
    }

    /** Eight cards of 5 mm: 46 and 0.15 and 1.5 are 47.65, scored 48. At 44: 43.85 of room, 42.35 without what is to spare: seven, 40.25. */
    public function test_a_missed_depth_says_what_it_still_takes(): void
    {
        $spec = ['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '5 mm', 'count' => 8], 'paper' => ['caliper' => '0.3 mm']];
        [$i, $at] = $this->measure($spec, 'tray', 'score');
        self::assertSame(48.0, $at->toMillimetres());
        $missed = $this->missed($spec, 'tray', $i, Length::mm(44));
        self::assertSame([Verdict::Bad, 7], [$missed->verdict, $missed->takes]);
        self::assertNotNull($missed->smaller);
    }

    /** 1 mm less than what was asked for of 2 to spare: the card still goes in, with the other one to spare. */
    public function test_less_room_than_asked_is_no_loss_of_the_card(): void
    {
        [$i, $at] = $this->measure(self::TRAY, 'tray', 'cut');
        $missed = $this->missed(self::TRAY, 'tray', $i, $at->minus(Length::mm(1)));
        self::assertSame(Verdict::Tighter, $missed->verdict);
        self::assertSame(['card-fits-width'], array_map(fn (Fit $fit) => $fit->id, $missed->gone));
        // 105 + 2 and a paper of 0.3 is 107.3: a base of 108. At 107 there are 106.7 between the walls, 1.7 more than the card.
        self::assertEqualsWithDelta(1.7, $missed->gone[0]->have->minus($missed->gone[0]->bare)->toMillimetres(), 1e-6);
    }

    /** A score 20 in from the left of a sheet 146 wide is read at 126 from the right. */
    public function test_a_reading_from_the_other_edge_is_understood(): void
    {
        [$i, $at] = $this->measure(self::TRAY, 'tray', 'score');
        $sheet = Sizing::ofEverything()->size(self::TRAY)->pieces[0]->sheet->width;
        $same = $this->missed(self::TRAY, 'tray', $i, $sheet->minus($at));
        self::assertSame([true, Verdict::Good], [$same->isFromOtherEdge, $same->verdict]);
        self::assertTrue($same->at->equals($at));
        $off = $this->missed(self::TRAY, 'tray', $i, $sheet->minus($at)->plus(Length::mm(2)));
        self::assertTrue($off->isFromOtherEdge && $off->at->equals($at->minus(Length::mm(2))));
        self::assertFalse($this->missed(self::TRAY, 'tray', $i, $at->plus(Length::mm(2)))->isFromOtherEdge);
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
        return Sizing::ofEverything()->missed($spec, $piece, $measure, $at);
    }
}
