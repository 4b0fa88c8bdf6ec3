<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Rules;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\TestCase;

/** Room inside, closed sizes and how many go in, each figure worked out by hand beside it. */
final class RoomTest extends TestCase
{
    private const TRAY = [
        'make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '100 mm', 'height' => '150 mm', 'thickness' => '20 mm'],
        'clearance' => ['width' => '0 mm', 'height' => '0 mm', 'depth' => '0 mm'], 'paper' => ['caliper' => '0.5 mm'],
    ];

    /**
     * Between the scores 100 + 3 · 0.5 = 101.5 across; up, where the tabs are, 150 + 5 · 0.5 = 152.5. Walls of 20 + 0.25: 21; hems
     * shorter by 0.5 + 0.5: 20. Sheet 2 · 41 + 101.5 = 183.5, cut 184: base 102, free 102 − 1.5 = 100.5; 2 · 41 + 152.5 = 234.5, cut
     * 235: 153 − 2.5 = 150.5. The lid over it 102 + 6 · 0.5 + 0.2 = 105.2 between walls of 11 and hems of 10: 147.2, cut 147, so that
     * 0 is left at its tabs: snug, and nearer to 0.2 than 1.
     */
    public function test_a_doubled_tray_and_its_lid(): void
    {
        $design = self::sized(['options' => ['trayWall' => 'doubled', 'lidWall' => 'doubled']] + self::TRAY);
        self::assertSame([184.0, 235.0], self::sheet($design, 0));
        self::assertSame([147.0, 198.0], self::sheet($design, 1));
        self::assertSame([100.5, 150.5, 20.75], self::extents($design->inside));
        $play = self::fit($design, 'lid-goes-on');
        self::assertSame([0.0, 'snug', true], [$play->have->toMillimetres(), $play->state(), $play->isOk()]);
        // Outside the lid: 105 + 0.5; on the tray's 21 the lid's paper, and half of the floor's.
        self::assertSame([105.5, 156.5, 21.75], self::extents($design->closed));
    }

    /**
     * Single: 100 + 0.5 across, 150 + 1.5 up, walls of 21: 142.5 and 193.5, cut 143 and 194: base 101 × 152, free 100.5 × 150.5. The lid
     * 101 + 4 · 0.5 + 2 = 105 between walls of 11: 127.
     */
    public function test_a_single_tray_and_its_lid(): void
    {
        $design = self::sized(self::TRAY);
        self::assertSame([143.0, 194.0], self::sheet($design, 0));
        self::assertSame([127.0, 178.0], self::sheet($design, 1));
        self::assertSame([100.5, 150.5, 20.75], self::extents($design->inside));
    }

    /** The guide's own: 100 × 150 in card of 1.5 mm leaves 147.5 of the 152 between the scores, and 3 mm more in the lid is none at its tabs. */
    public function test_tabs_and_hems_take_their_paper_where_they_lie(): void
    {
        $sizing = Sizing::ofEverything();
        $plan = $sizing->plan($sizing->request(['paper' => ['caliper' => '1.5 mm'], 'options' => ['depth' => '21 mm']] + self::TRAY), ['tray/sheet-height' => Length::mm(194), 'lid/sheet-height' => Length::mm(180)]);
        $figures = $sizing->settle($plan);
        self::assertSame(152.0, $figures->grid('tray')->rows->main()->toMillimetres());
        self::assertSame(147.5, $figures->inside->height->toMillimetres());
        self::assertSame(158.0, $figures->grid('lid')->rows->main()->toMillimetres());
        self::assertSame(0.0, self::play($figures)->have->toMillimetres());
        // The same sheet with mats on the tray's walls: a caliper on each side more.
        $matted = $sizing->plan($sizing->request(['border' => '4 mm', 'paper' => ['caliper' => '1.5 mm'], 'options' => ['depth' => '21 mm']] + self::TRAY), ['tray/sheet-height' => Length::mm(194), 'lid/sheet-height' => Length::mm(180)]);
        self::assertSame([-3.0, 'binds'], [self::play($sizing->settle($matted))->have->toMillimetres(), self::play($sizing->settle($matted))->state()]);
    }

    /** Whichever way the lid is cut a millimetre too small, its play is a millimetre less: the lesser of both ways counts. */
    public function test_a_lids_play_is_the_lesser_of_both_ways(): void
    {
        $sizing = Sizing::ofEverything();
        $plan = $sizing->plan($sizing->request(self::TRAY));
        foreach (['sheet-width' => 127, 'sheet-height' => 178] as $setting => $planned) {
            self::assertSame(1.0, self::play($sizing->settle($plan->with('lid', $setting, Length::mm($planned - 1))))->have->toMillimetres(), $setting);
            self::assertSame(2.0, self::play($sizing->settle($plan->with('lid', $setting, Length::mm($planned + 3))))->have->toMillimetres(), 'the other way is as tight as before');
        }
    }

    /** @return iterable<string, array{string, int, string, bool}> */
    public static function plays(): iterable
    {
        // Tenths of a millimetre at the tightest place; common practice, no source.
        foreach ([-3 => 'binds', -2 => 'very-snug', -1 => 'very-snug', 0 => 'snug', 8 => 'snug', 9 => 'loose', 14 => 'loose', 15 => 'falls-off'] as $tenths => $state) {
            yield "doubled $tenths" => ['doubled', $tenths, $state, ! in_array($state, ['binds', 'falls-off'], true)];
        }
        foreach ([-1 => 'binds', 0 => 'very-snug', 5 => 'very-snug', 6 => 'snug', 12 => 'snug', 13 => 'easy', 24 => 'easy', 25 => 'loose', 30 => 'loose', 31 => 'falls-off'] as $tenths => $state) {
            yield "single $tenths" => ['single', $tenths, $state, ! in_array($state, ['binds', 'falls-off'], true)];
        }
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('plays')]
    public function test_a_lid_has_a_band_of_play(string $wall, int $tenths, string $state, bool $isOk): void
    {
        $sizing = Sizing::ofEverything();
        $request = $sizing->request(['options' => ['lidWall' => $wall], 'tools' => ['cut' => '0.1 mm']] + self::TRAY);
        $plan = $sizing->plan($request);
        $by = Length::mm($tenths, 10)->minus(self::play($sizing->settle($plan))->have);
        $other = $plan->with('lid', 'sheet-width', $plan->settings->of('lid', 'sheet-width')->at->plus($by))->with('lid', 'sheet-height', $plan->settings->of('lid', 'sheet-height')->at->plus($by));
        $play = self::play($sizing->settle($other));
        self::assertSame([$tenths, $state, $isOk], [(int) round($play->have->toMillimetres() * 10), $play->state(), $play->isOk()]);
    }

    /** A base of 106 under a lid of 120 is no lid: 120 − 106 − 4 · 0.3 = 12.8 of play. */
    public function test_a_lid_can_be_too_loose(): void
    {
        $sizing = Sizing::ofEverything();
        $request = $sizing->request(['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '19 mm'], 'clearance' => ['width' => '0.7 mm', 'height' => '0.7 mm'], 'paper' => ['caliper' => '0.3 mm']]);
        $plan = $sizing->plan($request);
        $lid = $plan->grid('lid')->columns;
        $missed = $sizing->settle($plan->with('lid', 'sheet-width', $lid->total->plus(Length::mm(120)->minus($lid->main())))->with('lid', 'sheet-height', $plan->settings->of('lid', 'sheet-height')->at->plus(Length::mm(20))));
        self::assertSame([12.8, 'falls-off', false], [round(self::play($missed)->have->toMillimetres(), 6), self::play($missed)->state(), self::play($missed)->isOk()]);
    }

    /** By inch steps a doubled lid has 1/16 or 1/8 in: 1/8 leaves 1.375 of its best 0.2 and is loose, 1/16 would be tight by 0.21 and bind. */
    public function test_of_the_settings_inside_the_band_the_nearest_to_the_best_wins(): void
    {
        $spec = ['make' => 'tray-and-lid', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/2 in'], 'paper' => ['caliper' => '0.3 mm'], 'options' => ['lidWall' => 'doubled']];
        $design = self::sized($spec);
        self::assertSame('loose', self::fit($design, 'lid-goes-on')->state());
        self::assertEqualsWithDelta(3.175 - 1.8, self::fit($design, 'lid-goes-on')->have->toMillimetres(), 0.001);
        // In card of 0.25 mm 1/16 leaves 0.0875: snug, and nearer than 1.675, which falls off.
        $thin = self::sized(['paper' => ['caliper' => '0.25 mm']] + $spec);
        self::assertSame('snug', self::fit($thin, 'lid-goes-on')->state());
        self::assertEqualsWithDelta(1.5875 - 1.5, self::fit($thin, 'lid-goes-on')->have->toMillimetres(), 0.001);
        // What the maker asks for is the best instead: 1 mm of play, and 1/8 in is as near as she gets.
        self::assertSame('loose', self::fit(self::sized(['paper' => ['caliper' => '0.3 mm'], 'options' => ['lidWall' => 'doubled', 'lidPlay' => '1 mm']] + $spec), 'lid-goes-on')->state());
    }

    /** Hems scored nearer to the edge, 9 and 19, or like the wall, 10 and 20: nothing is trimmed afterwards. */
    public function test_hems_nearer_to_the_edge_or_like_the_wall(): void
    {
        $spec = ['paper' => ['caliper' => '0.3 mm'], 'options' => ['depth' => '20 mm', 'lidWall' => 'doubled']] + self::TRAY;
        $scores = fn (Design $design): array => array_slice(array_map(fn ($measure) => $measure->at->toMillimetres(), array_values(array_filter($design->pieces[1]->measures, fn ($measure) => $measure->kind->value === 'score'))), 0, 2);
        $nearer = self::sized($spec);
        self::assertSame([9.0, 19.0], $scores($nearer));
        self::assertTrue(self::fit($nearer, 'hem-lies-flat')->isOk());
        $alike = self::sized(['options' => ['depth' => '20 mm', 'lidWall' => 'doubled', 'hem' => 'like-the-wall']] + $spec);
        self::assertSame([10.0, 20.0], $scores($alike));
        self::assertSame([], array_filter($alike->fits, fn (Fit $fit) => $fit->id === 'hem-lies-flat'), 'in thin card that works too');
        self::assertSame([], array_filter($nearer->pieces[1]->measures, fn ($measure) => $measure->kind->value === 'trim'));
        $thick = self::sized(['paper' => ['caliper' => '0.5 mm'], 'options' => ['depth' => '20 mm', 'lidWall' => 'doubled', 'hem' => 'like-the-wall']] + $spec);
        self::assertFalse(self::fit($thick, 'hem-lies-flat')->isOk());
    }

    /** Five cards: three in one pocket, two in the other. What one takes has its loft in it: 3 · 4 = 12, scored 12. The spine takes both pockets and a paper. */
    public function test_a_wallet_for_an_odd_number_has_room_for_the_larger_half_on_both_sides(): void
    {
        $spec = ['make' => 'note-wallet', 'system' => 'metric', 'holds' => ['width' => '110 mm', 'height' => '80 mm', 'thickness' => '4 mm', 'count' => 5], 'clearance' => ['depth' => '0 mm'], 'paper' => ['caliper' => '0.3 mm']];
        $design = self::sized($spec);
        self::assertSame(12.0, self::fit($design, 'stack-fits-gusset')->need->toMillimetres());
        self::assertSame(12.0, $design->inside->depth->toMillimetres());
        // 110 + 6.35 + 2 · 0.3 = 116.95: 117 between the scores; 80 + 3.175 + 0.3 = 83.475: 84.
        self::assertSame([116.4, 83.7], array_slice(self::extents($design->inside), 0, 2));
        self::assertSame(24.3, self::fit($design, 'spine-takes-both-pockets')->need->toMillimetres());
        $even = self::sized(['holds' => ['width' => '110 mm', 'height' => '80 mm', 'thickness' => '4 mm', 'count' => 4]] + $spec);
        self::assertSame(8.0, self::fit($even, 'stack-fits-gusset')->need->toMillimetres(), '2 · 4');
    }

    /** A quarter of a diamond card is two steps of 1 mm: 103 comes out as 100, and 101 a trimmer's step off. */
    public function test_a_card_that_comes_out_another_size_says_so_and_what_it_can_be(): void
    {
        $card = fn (string $width): array => ['make' => 'diamond-card', 'system' => 'metric', 'holds' => ['width' => $width, 'height' => '140 mm']];
        $design = self::sized($card('103 mm'));
        self::assertSame(100.0, $design->closed->width->toMillimetres());
        self::assertFalse(self::fit($design, 'comes-near-width')->isOk());
        $sizes = array_map(fn (Remedy $remedy) => $remedy->edits['/holds/width'], self::fit($design, 'comes-near-width')->remedies);
        self::assertSame(['100 mm', '104 mm'], $sizes);
        self::assertTrue(self::fit(self::sized($card('101 mm')), 'comes-near-width')->isOk());
    }

    /** Sides of at least 40/2 + 0.3/2; the faces stand two of them apart at the middle of the paper, 0.3 less inside it. */
    public function test_a_lanterns_light_stands_clear_of_its_paper(): void
    {
        $sizing = Sizing::ofEverything();
        $figures = $sizing->settle($sizing->plan($sizing->request(['make' => 'lantern-card', 'system' => 'metric', 'holds' => ['width' => '120 mm', 'height' => '150 mm'], 'paper' => ['caliper' => '0.3 mm'], 'options' => ['light' => '40 mm']])));
        $side = $figures->grid('strip')->columns->width(1)->toMillimetres();
        self::assertGreaterThanOrEqual(20.15, $side);
        self::assertSame(round(2 * $side - 0.3, 4), round($figures->inside->depth->toMillimetres(), 4));
        foreach ($figures->fits as $fit) {
            $fit->id === 'light-stands-between' && self::assertSame([40.0, $figures->inside->depth->toMillimetres()], [$fit->need->toMillimetres(), $fit->have->toMillimetres()]);
        }
    }

    /** 50 deep, half of 0.4 of the floor above its fold: 49.8 free; 5 of it asked to stay free: 44.8 / (4 · 1.15) = 9.7. */
    public function test_how_many_a_depth_takes_leaves_its_clearance(): void
    {
        $spec = ['holds' => ['width' => '100 mm', 'height' => '150 mm', 'thickness' => '4 mm', 'count' => 2], 'clearance' => ['depth' => '5 mm'], 'paper' => ['caliper' => '0.4 mm'], 'options' => ['depth' => '50 mm']] + self::TRAY;
        self::assertSame(9, self::sized($spec)->takes);
        // Without it 49.8 / 4.6 = 10.8.
        self::assertSame(10, self::sized(['clearance' => ['depth' => '0 mm']] + $spec)->takes);
        // One thing that is thinner than the depth stands in it, whatever it leaves: no stack, no loft.
        self::assertSame(1, self::sized(['holds' => ['width' => '100 mm', 'height' => '150 mm', 'thickness' => '44 mm'], 'options' => ['depth' => '50 mm']] + $spec)->takes);
    }

    /** A pillow of 12 on 90: 2/3 · 144 / 90 = 1.0667 of the width, 2/3 · 144 / 60 = 1.6 of the height; a block takes all 12. Caliper 0.2. */
    public function test_a_soft_packet_takes_two_thirds_of_its_thickness_squared_over_its_width(): void
    {
        $spec = ['make' => 'corner-pouch', 'system' => 'metric', 'holds' => ['width' => '90 mm', 'height' => '60 mm', 'thickness' => '12 mm'], 'clearance' => ['width' => '4 mm', 'height' => '4 mm'], 'paper' => ['caliper' => '0.2 mm']];
        $pillow = self::sized(['options' => ['bulk' => 'pillow']] + $spec);
        // Face across 94 + 1.0667 + 0.2 = 95.2667, up 65.8: (95.2667 + 65.8)/√2 + 2 · 11.
        self::assertEqualsWithDelta((95.26667 + 65.8) / M_SQRT2 + 22, $pillow->pieces[0]->exact->width->toMillimetres(), 0.001);
        self::assertEqualsWithDelta($pillow->pieces[0]->folded()->width - 0.2 - 1.06667, $pillow->inside->width->toMillimetres(), 0.001);
        self::assertEqualsWithDelta($pillow->pieces[0]->folded()->width + 0.2, $pillow->closed->width->toMillimetres(), 0.001);
        $block = self::sized(['options' => ['bulk' => 'block']] + $spec);
        self::assertEqualsWithDelta((94 + 12.2 + 64 + 12.2) / M_SQRT2 + 22, $block->pieces[0]->exact->width->toMillimetres(), 0.001);
    }

    /** A gusset all round takes a caliper, and up, where the tabs are glued inside the bottom one, two: (122.4 + 82.8)/√2 + 15.4 · √2 + 2 · 11. */
    public function test_a_deep_envelopes_calipers(): void
    {
        $spec = ['make' => 'deep-envelope', 'system' => 'metric', 'holds' => ['width' => '120 mm', 'height' => '80 mm', 'thickness' => '15 mm'], 'clearance' => ['width' => '2 mm', 'height' => '2 mm', 'depth' => '0 mm'], 'paper' => ['caliper' => '0.4 mm']];
        $design = self::sized($spec);
        self::assertEqualsWithDelta((122.4 + 82.8) / M_SQRT2 + 15.4 * M_SQRT2 + 22, $design->pieces[0]->exact->width->toMillimetres(), 0.001);
        $folded = $design->pieces[0]->folded();
        self::assertEqualsWithDelta([$folded->width - 0.4, $folded->height - 0.8, $folded->depth - 0.4], self::extents($design->inside), 0.001);
        // Half the front, half a side flap, the bottom flap and the top flap beyond the gusset.
        self::assertEqualsWithDelta([$folded->width + 0.4, $folded->height + 0.4, $folded->depth + 1.2], self::extents($design->closed), 0.001);
        // Upright it lies along the other way, and the tabs take from its width.
        $upright = self::sized(['holds' => ['width' => '80 mm', 'height' => '120 mm', 'thickness' => '15 mm']] + $spec);
        self::assertEqualsWithDelta([$upright->pieces[0]->folded()->width - 0.8, $upright->pieces[0]->folded()->height - 0.4], array_slice(self::extents($upright->inside), 0, 2), 0.001);
    }

    /** An organizer's tabs are glued inside both sides: 2 papers beside half of each side's. */
    public function test_an_organizers_tabs_take_two_papers_of_its_width(): void
    {
        $design = self::sized(['make' => 'slope-box', 'system' => 'metric', 'holds' => ['width' => '100 mm', 'height' => '120 mm', 'thickness' => '5 mm', 'count' => 6], 'paper' => ['caliper' => '0.4 mm']]);
        self::assertEqualsWithDelta($design->pieces[0]->folded()->width - 1.2, $design->inside->width->toMillimetres(), 0.001);
        self::assertGreaterThanOrEqual(106.35, $design->inside->width->toMillimetres());
    }

    /** @return iterable<string, array{array<string, mixed>, array{float, float, float}}> */
    public static function closed(): iterable
    {
        $card = ['system' => 'metric', 'holds' => ['width' => '150 mm', 'height' => '100 mm', 'thickness' => '1 mm'], 'paper' => ['caliper' => '0.2 mm']];
        // The face between its folds and a caliper; its layers and the card of 1 between them.
        yield 'straight envelope: front, side, bottom, top' => [['make' => 'straight-envelope'] + $card, [158.0 + 0.2, 105.0 + 0.2, 4 * 0.2 + 1]];
        yield 'half fold: two' => [['make' => 'folded-card'] + $card, [150.0, 100.0, 0.4]];
        yield 'letter fold: three' => [['make' => 'folded-card', 'options' => ['fold' => 'letter']] + $card, [150.0, 100.0, 0.6]];
        yield 'gate: the back and one flap' => [['make' => 'folded-card', 'options' => ['fold' => 'gate']] + $card, [150.0, 100.0, 0.4]];
        yield 'lantern: two strips of three' => [['make' => 'lantern-card'] + $card, [150.0, 100.0, 1.2]];
        yield 'diamond: five where the tips lie' => [['make' => 'diamond-card'] + $card, [148.0, 100.0, 1.0]];
        // 98 × 98 and 1 in a face of 102.2: the side flaps, 22 · √2 / 2 longer than half of it, lie on one another.
        $square = ['holds' => ['width' => '98 mm', 'height' => '98 mm', 'thickness' => '1 mm']] + $card;
        yield 'a square envelope: both side flaps in the middle' => [['make' => 'diagonal-envelope', 'clearance' => ['width' => '3 mm', 'height' => '3 mm']] + $square, [73 * M_SQRT2 + 0.2, 73 * M_SQRT2 + 0.2, 5 * 0.2 + 1]];
    }

    /**
     * @param array<string, mixed> $spec
     * @param array{float, float, float} $closed
     */
    #[\PHPUnit\Framework\Attributes\DataProvider('closed')]
    public function test_closed_sizes(array $spec, array $closed): void
    {
        self::assertEqualsWithDelta($closed, self::extents(self::sized($spec)->closed), 1e-5);
    }

    /** The shorter way, round 105.2 and 1.8: 2 · (105.2 + 1.8) + 19.05 of overlap = 233.05, cut 234; 1 1/2 in wide is 38.1, cut 39. */
    public function test_a_band_goes_once_round_and_overlaps(): void
    {
        $design = self::sized(['make' => 'straight-envelope', 'system' => 'metric', 'holds' => ['width' => '150 mm', 'height' => '100 mm', 'thickness' => '1 mm'], 'paper' => ['caliper' => '0.2 mm'], 'with' => [['id' => 'b', 'role' => 'band']]]);
        self::assertSame([234.0, 39.0], self::sheet($design, 1));
    }

    /** @param array<string, mixed> $spec */
    private static function sized(array $spec): Design
    {
        return Sizing::ofEverything()->size($spec);
    }

    /** @return array{float, float} */
    private static function sheet(Design $design, int $piece): array
    {
        return [$design->pieces[$piece]->sheet->width->toMillimetres(), $design->pieces[$piece]->sheet->height->toMillimetres()];
    }

    /** @return array{float, float, float} */
    private static function extents(\Gimbo\Core\Settle\Extents $extents): array
    {
        return [$extents->width->toMillimetres(), $extents->height->toMillimetres(), $extents->depth->toMillimetres()];
    }

    private static function play(Figures $figures): Fit
    {
        return array_values(array_filter($figures->fits, fn (Fit $fit) => $fit->id === 'lid-goes-on'))[0];
    }

    private static function fit(Design $design, string $id): Fit
    {
        return array_values(array_filter($design->fits, fn (Fit $fit) => $fit->id === $id))[0];
    }
}
