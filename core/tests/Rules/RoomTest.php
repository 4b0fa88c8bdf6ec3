<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Rules;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\TestCase;

/** Room inside, closed sizes and how many go in, each figure worked out by hand beside it. */
final class RoomTest extends TestCase
{
    private const TRAY = [
        'make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '100 mm', 'height' => '150 mm', 'thickness' => '20 mm'],
        'clearance' => ['width' => '0 mm', 'height' => '0 mm'], 'paper' => ['caliper' => '0.5 mm'],
    ];

    /**
     * Between the scores 100 + 3 · 0.5 = 101.5. Walls of 20 + 0.25: scored at 21, hems before them: 4 · 21 + 101.5 = 185.5, cut 186:
     * base 102, free 102 − 1.5 = 100.5. The lid over it 102 + 4 · 0.5 + 1 = 105 between scores at 11 and 22: 149.
     */
    public function test_a_doubled_tray_and_its_lid(): void
    {
        $design = self::sized(['options' => ['trayWall' => 'doubled', 'lidWall' => 'doubled', 'lidPlay' => '1 mm']] + self::TRAY);
        self::assertSame([186.0, 236.0], self::sheet($design, 0));
        self::assertSame([149.0, 199.0], self::sheet($design, 1));
        self::assertSame([100.5, 150.5, 20.75], self::extents($design->inside));
        self::assertSame([1.0, 1.0], [self::fit($design, 'lid-goes-on')->need->toMillimetres(), self::fit($design, 'lid-goes-on')->have->toMillimetres()]);
        // Outside the lid: 105 + 0.5; the taller of both, the tray's 21, and the lid's top.
        self::assertSame([105.5, 155.5, 21.5], self::extents($design->closed));
    }

    /** Single: 100 + 0.5 between scores, 20.25 up: 21 · 2 + 100.5 = 142.5, cut 143: base 101, free 100.5. Lid 101 + 2 · 0.5 + 1 = 103. */
    public function test_a_single_tray_and_its_lid(): void
    {
        $design = self::sized(['options' => ['lidPlay' => '1 mm']] + self::TRAY);
        self::assertSame([143.0, 193.0], self::sheet($design, 0));
        self::assertSame([125.0, 175.0], self::sheet($design, 1));
        self::assertSame([100.5, 150.5, 20.75], self::extents($design->inside));
    }

    /** Whichever way the lid is cut a millimetre too small, its play is a millimetre less: the lesser of both ways counts. */
    public function test_a_lids_play_is_the_lesser_of_both_ways(): void
    {
        $sizing = Sizing::ofEverything();
        $plan = $sizing->plan($sizing->request(['options' => ['lidPlay' => '1 mm']] + self::TRAY));
        foreach (['sheet-width' => 125, 'sheet-height' => 175] as $setting => $planned) {
            $figures = $sizing->settle($plan->with('lid', $setting, Length::mm($planned - 1)));
            $play = array_values(array_filter($figures->fits, fn (Fit $fit) => $fit->id === 'lid-goes-on'))[0];
            self::assertSame([0.0, false], [$play->have->toMillimetres(), $play->isOk()], $setting);
            $larger = $sizing->settle($plan->with('lid', $setting, Length::mm($planned + 3)));
            self::assertSame(1.0, array_values(array_filter($larger->fits, fn (Fit $fit) => $fit->id === 'lid-goes-on'))[0]->have->toMillimetres(), 'the other way is as tight as before');
        }
    }

    /** Five cards: three in one pocket, two in the other. 3 · 4 · 1.15 = 13.8, with paper of 0.3 14.1; the spine twice the gusset as it will be, 15. */
    public function test_a_wallet_for_an_odd_number_has_room_for_the_larger_half_on_both_sides(): void
    {
        $design = self::sized(['make' => 'note-wallet', 'system' => 'metric', 'holds' => ['width' => '110 mm', 'height' => '80 mm', 'thickness' => '4 mm', 'count' => 5], 'paper' => ['caliper' => '0.3 mm']]);
        self::assertSame(13.8, self::fit($design, 'stack-fits-gusset')->need->toMillimetres());
        self::assertGreaterThanOrEqual(13.8, $design->inside->depth->toMillimetres());
        self::assertSame(2 * ($design->inside->depth->toMillimetres() + 0.3), self::fit($design, 'spine-takes-both-pockets')->need->toMillimetres());
        $even = self::sized(['make' => 'note-wallet', 'system' => 'metric', 'holds' => ['width' => '110 mm', 'height' => '80 mm', 'thickness' => '4 mm', 'count' => 4], 'paper' => ['caliper' => '0.3 mm']]);
        self::assertSame(9.2, self::fit($even, 'stack-fits-gusset')->need->toMillimetres(), '2 · 4 · 1.15');
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

    /** A gusset all round takes a caliper in each direction: (122.4 + 82.4)/√2 + 15.4 · √2 + 2 · 11 is the exact square. */
    public function test_a_deep_envelopes_caliper(): void
    {
        $design = self::sized(['make' => 'deep-envelope', 'system' => 'metric', 'holds' => ['width' => '120 mm', 'height' => '80 mm', 'thickness' => '15 mm'], 'clearance' => ['width' => '2 mm', 'height' => '2 mm'], 'paper' => ['caliper' => '0.4 mm']]);
        self::assertEqualsWithDelta((122.4 + 82.4) / M_SQRT2 + 15.4 * M_SQRT2 + 22, $design->pieces[0]->exact->width->toMillimetres(), 0.001);
        // Marks at 70 and 92, square 190: 22/√2 deep, 59 · √2 up, 87 · √2 across, each less 0.4.
        self::assertEqualsWithDelta([87 * M_SQRT2 - 0.4, 59 * M_SQRT2 - 0.4, 22 / M_SQRT2 - 0.4], self::extents($design->inside), 0.001);
    }

    /** @return iterable<string, array{array<string, mixed>, array{float, float, float}}> */
    public static function closed(): iterable
    {
        $card = ['system' => 'metric', 'holds' => ['width' => '150 mm', 'height' => '100 mm', 'thickness' => '1 mm'], 'paper' => ['caliper' => '0.2 mm']];
        // The face between its folds and a caliper; its layers and the card of 1 between them.
        yield 'straight envelope: front, side, bottom, top' => [['make' => 'straight-envelope'] + $card, [158.0 + 0.2, 105.0 + 0.2, 4 * 0.2 + 1]];
        yield 'half fold: two' => [['make' => 'folded-card'] + $card, [150.0, 100.0, 0.4]];
        yield 'letter fold: three' => [['make' => 'folded-card', 'options' => ['fold' => 'letter']] + $card, [150.0, 100.0, 0.6]];
        yield 'lantern: two strips of three' => [['make' => 'lantern-card'] + $card, [150.0, 100.0, 1.2]];
    }

    /**
     * @param array<string, mixed> $spec
     * @param array{float, float, float} $closed
     */
    #[\PHPUnit\Framework\Attributes\DataProvider('closed')]
    public function test_closed_sizes(array $spec, array $closed): void
    {
        self::assertEqualsWithDelta($closed, self::extents(self::sized($spec)->closed), 1e-6);
    }

    /** Round 158 and 10: 2 · (158.2 + 1.8) + 19.05 of overlap = 339.05, cut 340; 1 1/2 in wide is 38.1, cut 39. */
    public function test_a_band_goes_once_round_and_overlaps(): void
    {
        $design = self::sized(['make' => 'straight-envelope', 'system' => 'metric', 'holds' => ['width' => '150 mm', 'height' => '100 mm', 'thickness' => '1 mm'], 'paper' => ['caliper' => '0.2 mm']]);
        self::assertSame([340.0, 39.0], [$design->bellyBand()->width->toMillimetres(), $design->bellyBand()->height->toMillimetres()]);
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
    private static function extents(\Gimbo\Core\Figure\Extents $extents): array
    {
        return [$extents->width->toMillimetres(), $extents->height->toMillimetres(), $extents->depth->toMillimetres()];
    }

    private static function fit(Design $design, string $id): Fit
    {
        return array_values(array_filter($design->fits, fn (Fit $fit) => $fit->id === $id))[0];
    }
}
