<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Added;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What practitioners cut to go with things they made, in figures. Common practice, no source. */
final class GuideTest extends TestCase
{
    private const WALLET = ['make' => 'note-wallet', 'holds' => ['width' => '3 5/8 in', 'height' => '5 1/8 in', 'thickness' => '1/8 in', 'count' => 4], 'paper' => ['caliper' => '0 mm']];

    private const A6_TRAY = ['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '105 mm', 'height' => '150 mm', 'thickness' => '12 mm'], 'clearance' => ['width' => '0.7 mm', 'height' => '0.1 mm'], 'options' => ['depth' => '2 cm', 'lidWall' => 'doubled', 'lidDepth' => '1 cm']];

    private const SET_TRAY = ['make' => 'tray-and-lid', 'holds' => ['width' => '5 3/4 in', 'height' => '4 3/8 in', 'thickness' => '4 mm', 'count' => 8], 'clearance' => ['width' => '0.23 in', 'height' => '0.33 in'], 'options' => ['depth' => '1 3/4 in', 'lidDepth' => '3/4 in']];

    /** @return iterable<string, array{array<string, mixed>, list<array<string, mixed>>, string, float, float}> spec, what goes with it, a piece, and the size it is cut to in millimetres */
    public static function cut(): iterable
    {
        $mat = fn (string $on, mixed $border, string $id = 'm'): array => ['id' => $id, 'role' => 'mat', 'on' => $on, 'border' => $border];
        $in = fn (float $inches): float => 25.4 * $inches;
        $cover = $mat('cover/left-cover', ['width' => '1/4 in', 'height' => '3/16 in']);
        yield 'a mat on a wallet’s cover of 3 7/8 × 5 1/4' => [self::WALLET, [$cover], 'm', $in(3.375), $in(4.875)];
        yield 'and a second one on it, 1/8 less all round' => [self::WALLET, [$cover, $mat('m', '1/8 in', 'n')], 'n', $in(3.125), $in(4.625)];
        yield 'a mat of 145 × 100 on the lid for an A6 card, 4 mm showing' => [self::A6_TRAY, [$mat('lid/base', '4 mm')], 'm', 100.0, 145.0];
        yield 'a mat of 5 3/4 × 4 1/2 on a lid of 7 5/8 × 6 3/8, 3/16 showing' => [self::SET_TRAY, [$mat('lid/base', '3/16 in')], 'm', $in(5.75), $in(4.5)];
        yield 'a window panel 1/8 less than a lantern’s face' => [['make' => 'lantern-card', 'holds' => ['width' => '4 in', 'height' => '4 1/4 in']], [$mat('strip/front', '1/16 in')], 'm', $in(3.875), $in(4.125)];
        yield 'a mat on an organizer’s front, 5 wide and 4 high' => [
            ['make' => 'slope-box', 'holds' => ['width' => '4 3/4 in', 'height' => '6 in', 'thickness' => '1 in'], 'paper' => ['caliper' => '0 mm'], 'options' => ['depth' => '2 in']], [$mat('box/front', '1/8 in')], 'm', $in(4.75), $in(3.75),
        ];
    }

    /**
     * @param array<string, mixed> $spec
     * @param list<array<string, mixed>> $with
     */
    #[DataProvider('cut')]
    public function test_it_is_cut_to_what_they_cut_it_to(array $spec, array $with, string $piece, float $width, float $height): void
    {
        $sheet = self::sized(['with' => $with] + $spec)->piece($piece)?->sheet;
        self::assertNotNull($sheet);
        self::assertEqualsWithDelta([$width, $height], [$sheet->width->toMillimetres(), $sheet->height->toMillimetres()], 1e-4);
    }

    /** The small panels of a diamond card of 6 × 6 take triangles with legs of 1.173 and 2.345; its diamonds, halved, have legs of 1.360 and 2.720. */
    public function test_a_diamond_cards_mats_before_they_are_rounded(): void
    {
        $design = self::sized(['make' => 'diamond-card', 'holds' => ['width' => '6 in', 'height' => '6 in'], 'with' => [['id' => 'm', 'role' => 'mat', 'on' => '*', 'border' => '1/8 in']]]);
        $exact = fn (string $id): array => [(float) $design->piece($id)?->exact->width->toInches(), (float) $design->piece($id)?->exact->height->toInches()];
        self::assertEqualsWithDelta([2.7205, 5.441], $exact('m-left-diamond'), 5e-4);
        self::assertEqualsWithDelta([1.1726, 2.3453], $exact('m-left-upper'), 5e-4);
    }

    /** Slanted flaps: cut alike, one turned over. */
    public function test_left_and_right_are_mirror_images(): void
    {
        $design = self::sized(['make' => 'slant-gate-card', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in'], 'with' => [['id' => 'm', 'role' => 'mat', 'on' => '*', 'border' => '1/8 in']]]);
        $left = $design->figures->outfit->piece('m-left-flap');
        $right = $design->figures->outfit->piece('m-right-flap');
        self::assertSame(['m-right-flap', 'm-left-flap'], [$left?->mirrors, $right?->mirrors]);
        self::assertNotNull($left);
        self::assertNotNull($right);
        self::assertTrue($left->figures->sheet->isSameAs($right->figures->sheet));
    }

    /** @param array<string, mixed> $spec */
    private static function sized(array $spec): Design
    {
        return Sizing::ofEverything()->size($spec);
    }
}
