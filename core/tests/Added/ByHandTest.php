<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Added;

use Gimbo\Core\Added\Alike;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Placing;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What goes with a make, its figures worked by hand from those of the make: arithmetic, no source.
 *
 * @phpstan-type Json array<string, mixed>
 */
final class ByHandTest extends TestCase
{
    /** A folded card of 120 × 160 mm: its front is as large as the card. */
    private const CARD = [
        'make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '120 mm', 'height' => '160 mm'],
        'paper' => ['caliper' => '0.3 mm'], 'tools' => ['cut' => '0.5 mm'],
    ];

    public function test_a_liner_is_smaller_than_what_it_lines_by_its_border_all_round(): void
    {
        foreach (['4 mm' => 4.0, '9 mm' => 9.0] as $border => $mm) {
            $design = $this->sized(['with' => [['id' => 'l', 'role' => 'liner', 'border' => $border]], 'tools' => ['cut' => '0.01 mm']] + [
                'make' => 'straight-envelope', 'system' => 'metric', 'holds' => ['width' => '140 mm', 'height' => '90 mm'],
            ]);
            $pattern = $design->pieces[0]->whole();
            [$left, $right, $low] = self::bounds([...$pattern->polygon($pattern->faceNamed('front'))->points]);
            $top = self::bounds([...$pattern->polygon($pattern->faceNamed('top-flap'))->points])[3];
            $liner = self::piece($design, 'l');
            self::assertEqualsWithDelta($right - $left - 2 * $mm, $liner->figures->sheet->width->toMillimetres(), 0.15, $border);
            self::assertEqualsWithDelta($top - $low - 2 * $mm, $liner->figures->sheet->height->toMillimetres(), 0.15, $border);
        }
    }

    /** @return iterable<string, array{Json, array{float, float}}> the window's shape, and as wide and as high as it is */
    public static function windows(): iterable
    {
        yield 'a rectangle' => [['rect' => ['40 mm', '30 mm']], [40.0, 30.0]];
        yield 'an oval' => [['oval' => ['50 mm', '30 mm']], [50.0, 30.0]];
    }

    /**
     * @param Json $shape
     * @param array{float, float} $size
     */
    #[DataProvider('windows')]
    public function test_an_opening_grows_by_each_mats_own_border_one_way_and_the_other(array $shape, array $size): void
    {
        $design = $this->sized(['with' => [
            ['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => ['width' => '4 mm', 'height' => '7 mm']],
            ['id' => 'n', 'role' => 'mat', 'on' => 'm', 'border' => ['width' => '2 mm', 'height' => '3 mm']],
            ['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => $shape],
        ]] + self::CARD);
        $opening = $design->figures->outfit->openings['card']['front'][0];
        self::assertEqualsWithDelta($size, [$opening->width, $opening->height], 1e-6);
        [$mat, $second] = [self::piece($design, 'm')->openings[0], self::piece($design, 'n')->openings[0]];
        self::assertEqualsWithDelta([$size[0] + 8, $size[1] + 14], [$mat->width, $mat->height], 1e-6);
        self::assertEqualsWithDelta([$size[0] + 8 + 4, $size[1] + 14 + 6], [$second->width, $second->height], 1e-6);
    }

    public function test_a_ribbon_both_ways_goes_twice_round_the_depth(): void
    {
        $spec = ['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '110 mm', 'height' => '150 mm', 'thickness' => '2 mm', 'count' => 10]];
        $bare = $this->sized($spec);
        [$w, $h, $d] = [$bare->closed->width->toMillimetres(), $bare->closed->height->toMillimetres(), $bare->closed->depth->toMillimetres()];
        self::assertGreaterThan(20.0, $d);
        $long = function (string $way) use ($spec): float {
            $design = $this->sized(['with' => [['id' => 'r', 'role' => 'ribbon', 'way' => $way, 'bow' => '300 mm']]] + $spec);

            return (float) $design->supplies()[0]->length?->toMillimetres();
        };
        // Along both sides of the base and of the lid, and down and up each of the four walls; a hair for the trimmer's step.
        self::assertEqualsWithDelta(2 * $w + 2 * $h + 4 * $d + 300, $long('both'), 1.0);
        self::assertEqualsWithDelta(2 * min($w, $h) + 2 * $d + 300, $long('once'), 1.0);
    }

    public function test_what_backs_a_window_reaches_as_far_as_the_rim_it_lies_on(): void
    {
        $window = fn (array $parts): array => ['with' => [['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => ['rect' => ['40 mm', '30 mm']]] + $parts]] + self::CARD;
        $backing = fn (array $parts): Rectangle => self::piece($this->sized($window($parts)), 'w-backing')->figures->sheet;
        $alone = $backing(['backing' => ['margin' => '5 mm']]);
        $onRim = $backing(['backing' => ['margin' => '5 mm'], 'rim' => ['width' => '12 mm']]);
        $beyond = $backing(['backing' => ['margin' => '15 mm'], 'rim' => ['width' => '12 mm']]);
        self::assertEqualsWithDelta([50.0, 40.0], [$alone->width->toMillimetres(), $alone->height->toMillimetres()], 0.5);
        self::assertEqualsWithDelta([64.0, 54.0], [$onRim->width->toMillimetres(), $onRim->height->toMillimetres()], 0.5);
        self::assertEqualsWithDelta([70.0, 60.0], [$beyond->width->toMillimetres(), $beyond->height->toMillimetres()], 0.5);
    }

    public function test_pieces_cut_alike_are_one_only_where_they_lie_on_the_same_side(): void
    {
        $design = $this->sized(['with' => [['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm']]] + self::CARD);
        $mat = self::piece($design, 'm');
        $on = fn (Side $side): AddedPiece => $mat->at([new Placing('card', 'front', $side, new Point(0, 0), 0.0)]);
        $gathered = fn (AddedPiece ...$pieces): array => array_map(fn (AddedPiece $one) => $one->figures->count, Alike::of(array_values($pieces), $mat->addition));
        self::assertSame([2], $gathered($on(Side::Outside), $on(Side::Outside)));
        self::assertSame([1, 1], $gathered($on(Side::Outside), $on(Side::Inside)));
        self::assertSame([2, 1], $gathered($on(Side::Inside), $on(Side::Outside), $on(Side::Inside)));
    }

    /** A band as long as once round the shorter way, and its overlap; in two strips each has half of that, and the overlap. */
    public function test_a_band_goes_once_round_the_shorter_way(): void
    {
        $spec = ['with' => [['id' => 'b', 'role' => 'band', 'overlap' => '20 mm', 'width' => '30 mm']]] + self::CARD;
        $closed = $this->sized(self::CARD)->closed;
        $round = 2 * ($closed->width->toMillimetres() + $closed->depth->toMillimetres());
        $whole = self::piece($this->sized($spec), 'b')->figures;
        self::assertSame(1, $whole->count);
        self::assertEqualsWithDelta($round + 20, $whole->sheet->width->toMillimetres(), 0.5);
        $halves = self::piece($this->sized(['paper' => ['caliper' => '0.3 mm', 'sheet' => ['width' => '165 mm', 'height' => '250 mm']]] + $spec), 'b')->figures;
        self::assertSame(2, $halves->count);
        self::assertEqualsWithDelta($round / 2 + 20, $halves->sheet->width->toMillimetres(), 0.5);
    }

    /** @param Json $spec */
    private function sized(array $spec): Design
    {
        return Sizing::ofEverything()->size($spec);
    }

    private static function piece(Design $design, string $id): AddedPiece
    {
        $piece = $design->figures->outfit->piece($id);
        self::assertNotNull($piece, $id);

        return $piece;
    }

    /**
     * @param list<Point> $points
     * @return array{float, float, float, float} left, right, bottom, top
     */
    private static function bounds(array $points): array
    {
        $points === [] && self::fail('no points');

        return [min(array_column($points, 'x')), max(array_column($points, 'x')), min(array_column($points, 'y')), max(array_column($points, 'y'))];
    }
}
