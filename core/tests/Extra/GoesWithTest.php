<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Extra;

use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Extra\BellyBand;
use Gimbo\Core\Extra\Closure;
use Gimbo\Core\Extra\Liner;
use Gimbo\Core\Extra\Mat;
use Gimbo\Core\Extra\Mats;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Request\ClosureKind;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Mats, liners, bands and stacks. Sizes are common practice, no source. */
final class GoesWithTest extends TestCase
{
    private const ORGANIZER = ['make' => 'slope-box', 'holds' => ['width' => '4 3/4 in', 'height' => '6 in', 'thickness' => '1 in'], 'paper' => ['caliper' => '0 mm'], 'options' => ['depth' => '2 in']];

    private const DIAMOND = ['make' => 'diamond-card', 'holds' => ['width' => '6 in', 'height' => '6 in']];

    /** @return iterable<string, array{array<string, mixed>, string, float, float}> spec, panel, width and height in inches */
    public static function mats(): iterable
    {
        yield 'the back of an organizer 5 wide and 6 high' => [self::ORGANIZER, 'back', 4.75, 5.75];
        yield 'its front, 4 high' => [self::ORGANIZER, 'front', 4.75, 3.75];
        yield 'its side, 2 deep' => [self::ORGANIZER, 'front-left', 1.75, 3.75];
        yield 'the middle of a diamond card' => [self::DIAMOND, 'middle', 2.75, 5.75];
    }

    /** @param array<string, mixed> $spec */
    #[DataProvider('mats')]
    public function test_a_mat_is_a_quarter_inch_less_than_its_panel(array $spec, string $face, float $width, float $height): void
    {
        $mat = self::mat($spec, $face);
        self::assertSame([$width, $height], [$mat->rectangle->width->toInches(), $mat->rectangle->height->toInches()]);
    }

    public function test_a_diamond_mat_is_cut_from_mark_to_mark_at_the_middle_of_each_side_of_its_rectangle(): void
    {
        $mat = self::mat(self::DIAMOND, 'left-diamond');
        self::assertCount(4, $mat->corners);
        $exact = $mat->corners[0];
        foreach ($mat->corners as $corner) {
            self::assertTrue($corner['along']->equals($exact['along']) && $corner['up']->equals($exact['up']));
        }
        // A border on every side: the diamond a × h is inset by 1/8 in measured square to its slanted sides.
        [$a, $h, $b] = [3.0, 6.0, 0.125];
        self::assertEqualsWithDelta($a / 2 - $b * hypot($a, $h) / $h, $exact['along']->toInches(), 1e-4);
        self::assertSame('right-diamond', $mat->mirrors);
    }

    public function test_left_and_right_mats_are_mirror_images(): void
    {
        [$left, $right] = [self::mat(self::ORGANIZER, 'back-left'), self::mat(self::ORGANIZER, 'back-right')];
        self::assertSame(['back-right', 'back-left'], [$left->mirrors, $right->mirrors]);
        self::assertTrue($left->rectangle->isSameAs($right->rectangle));
        self::assertSame(['top-left', 'top-right'], [$left->corners[0]['corner'], $right->corners[0]['corner']]);
        // A cut at 45° (the slope is the depth): as far along as up, the rail at 1/√2 of that.
        self::assertEqualsWithDelta($left->corners[0]['along']->toInches() / M_SQRT2, $left->corners[0]['rail']->toInches(), 1e-4);
    }

    public function test_a_liner_covers_front_and_flap_a_quarter_inch_inside_their_edges(): void
    {
        foreach (['diagonal-envelope', 'straight-envelope'] as $make) {
            $piece = Sizing::ofEverything()->size(['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in']])->pieces[0];
            $liner = Liner::of($piece->pattern());
            self::assertNotNull($liner, $make);
            $both = $piece->pattern()->polygon($piece->pattern()->faceNamed('front'))->area() + $piece->pattern()->polygon($piece->pattern()->faceNamed('top-flap'))->area();
            self::assertGreaterThan($both * 0.7, $liner->area());
            self::assertLessThan($both, $liner->area());
        }
    }

    public function test_what_holds_a_flap_lies_where_the_flap_comes_to_lie(): void
    {
        foreach (['diagonal-envelope', 'straight-envelope', 'deep-envelope'] as $make) {
            $piece = Sizing::ofEverything()->size(['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '3 mm']])->pieces[0];
            $names = array_map(fn ($face) => $face->name, $piece->pattern()->faces);
            foreach (['dot' => 0.0, 'tuck' => 0.0, 'string' => 24.0] as $kind => $apart) {
                $closure = Closure::of(ClosureKind::from($kind), $piece->pattern(), $piece->folding(...));
                self::assertNotNull($closure?->onBody, "$make $kind");
                self::assertSame('bottom-flap', $closure->face);
                self::assertTrue($piece->pattern()->polygon($piece->pattern()->faceNamed('top-flap'))->containsOrTouches($closure->onFlap));
                // Carried along with their own faces, both halves of a dot come to the same place; discs lie apart.
                $there = Overlap::inSpace($piece->folding(), (int) array_search('top-flap', $names, true), $closure->onFlap);
                $here = Overlap::inSpace($piece->folding(), (int) array_search('bottom-flap', $names, true), $closure->onBody);
                self::assertEqualsWithDelta($apart, $there->minus($here)->length(), 1e-6, "$make $kind");
            }
            self::assertNull(Closure::of(ClosureKind::None, $piece->pattern(), $piece->folding(...)));
        }
        self::assertNull(Sizing::ofEverything()->size(['closure' => 'dot'] + self::DIAMOND)->pieces[0]->closure(), 'there is no flap to hold');
    }

    public function test_a_band_goes_once_round_and_overlaps(): void
    {
        $design = Sizing::ofEverything()->size(self::DIAMOND);
        $band = BellyBand::around($design->closed, Step::of(Length::inches(1, 16)));
        $round = 2 * ($design->closed->width->toInches() + $design->closed->depth->toInches());
        self::assertGreaterThanOrEqual($round + 0.5, $band->width->toInches());
        self::assertLessThanOrEqual($round + 1, $band->width->toInches());
    }

    public function test_a_card_is_as_thick_as_its_layers_unless_it_was_measured(): void
    {
        $layers = ['card' => '0.3 mm', 'mats' => 2, 'mat' => '0.25 mm', 'decoration' => '1 mm', 'envelope' => '0.12 mm', 'liner' => '0.1 mm'];
        $item = fn (array $holds): Item => Sizing::ofEverything()->request(['holds' => $holds + ['width' => '5 in', 'height' => '4 in']] + self::DIAMOND)->item;
        self::assertEqualsWithDelta(2 * 0.3 + 2 * 0.25 + 1 + 4 * 0.12 + 0.1, $item(['layers' => $layers])->thickness->toMillimetres(), 1e-9);
        self::assertSame(5.0, $item(['layers' => $layers, 'thickness' => '5 mm'])->thickness->toMillimetres());
    }

    /** The other way round: what a depth takes is what a stack of that many needs. */
    public function test_as_many_stand_in_a_depth_as_their_stack_is_thick(): void
    {
        for ($many = 1; $many < 40; $many++) {
            $item = new Item(Length::mm(100), Length::mm(100), Length::mm(37, 10), $many);
            self::assertSame($many, $item->howManyStandIn($item->stack()));
        }
        self::assertSame(0, (new Item(Length::mm(100), Length::mm(100), Length::mm(5), 1))->howManyStandIn(Length::mm(4)));
        // Eight decorated cards with envelopes of 4.8 mm stand in 1 3/4 in.
        self::assertSame(8, (new Item(Length::mm(100), Length::mm(100), Length::mm(48, 10), 1))->howManyStandIn(Length::inches(7, 4)));
    }

    /** @param array<string, mixed> $spec */
    private static function mat(array $spec, string $face): Mat
    {
        $pattern = Sizing::ofEverything()->size($spec)->pieces[0]->pattern();
        $mats = array_filter(Mats::of($pattern, Length::inches(1, 8), Step::of(Length::inches(1, 16))), fn (Mat $mat) => $mat->face === $face);

        return array_values($mats)[0];
    }
}
