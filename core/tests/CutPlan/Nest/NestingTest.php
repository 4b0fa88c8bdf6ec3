<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\CutPlan\Nest;

use Gimbo\Core\CutPlan\Nest\Corners;
use Gimbo\Core\CutPlan\Nest\HeadToTail;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pieces that are less than their rectangles: two head to tail, and small triangles out of the corners that come off large ones. */
final class NestingTest extends TestCase
{
    /** @return iterable<string, array{list<array{float, float}>, float, float, ?array{float, float}}> outline, its rectangle, what two come out of: arithmetic */
    public static function known(): iterable
    {
        yield 'half a rectangle: two out of one' => [[[0, 0], [30, 0], [0, 60]], 30, 60, [30, 60]];
        yield 'a flap slanted from 100 to 140: 240 in all' => [[[0, 0], [40, 0], [40, 140], [0, 100]], 40, 140, [40, 240]];
        yield 'the same lying' => [[[0, 0], [100, 0], [140, 40], [0, 40]], 140, 40, [240, 40]];
        yield 'slanted at its other end' => [[[0, 40], [40, 0], [40, 140], [0, 140]], 40, 140, [40, 240]];
        yield 'diamonds touch with their points' => [[[30, 0], [60, 50], [30, 100], [0, 50]], 60, 100, null];
        yield 'a rectangle' => [[[0, 0], [40, 0], [40, 140], [0, 140]], 40, 140, null];
        yield 'hardly slanted' => [[[0, 0], [40, 0], [40, 140], [0, 135]], 40, 140, null];
    }

    /**
     * @param list<array{float, float}> $outline
     * @param ?array{float, float} $box
     */
    #[DataProvider('known')]
    public function test_two_head_to_tail(array $outline, float $width, float $height, ?array $box): void
    {
        $pair = HeadToTail::of(self::points($outline), self::sheet($width, $height), Length::mm(1), Length::zero());
        $found = $pair === null ? null : [$pair->box->width->toMillimetres(), $pair->box->height->toMillimetres()];
        self::assertSame($box === null ? null : [(float) $box[0], (float) $box[1]], $found);
    }

    /** Random outlines: cut off along the line, what lies on one side holds the piece, what lies on the other holds it turned; half the blade away. */
    public function test_each_lies_on_its_side_of_the_cut(): void
    {
        mt_srand(12);
        $pairs = 0;
        for ($run = 0; $run < 400; $run++) {
            [$w, $h] = [mt_rand(20, 120), mt_rand(20, 120)];
            $outline = [new Point(0, mt_rand(0, $h)), new Point(mt_rand(0, $w), 0), new Point($w, mt_rand(0, $h)), new Point(mt_rand(0, $w), $h)];
            $kerf = mt_rand(0, 2);
            $pair = HeadToTail::of($outline, self::sheet($w, $h), Length::mm(1), Length::mm($kerf));
            if ($pair === null) {
                continue;
            }
            $pairs++;
            [$bw, $bh] = [$pair->box->width->toMillimetres(), $pair->box->height->toMillimetres()];
            self::assertEqualsWithDelta(1 - $bw * $bh / (2 * $w * $h), $pair->saved, 1e-9);
            $way = $pair->to->minus($pair->from)->times(1 / $pair->to->minus($pair->from)->length());
            // Either lies in the lower left corner, as it is or turned, and the other in the upper right.
            $isParted = false;
            foreach ([$outline, self::turned($outline, $w, $h)] as $one) {
                [$a, $b] = [self::sides($one, $pair->from, $way), self::sides(self::turned($one, $bw, $bh), $pair->from, $way)];
                $isParted = $isParted || min($a) >= $kerf / 2 - 1e-6 && max($b) <= -$kerf / 2 + 1e-6 || max($a) <= -$kerf / 2 + 1e-6 && min($b) >= $kerf / 2 - 1e-6;
            }
            self::assertTrue($isParted, json_encode([$outline, $w, $h, $kerf], JSON_THROW_ON_ERROR));
        }
        self::assertGreaterThan(100, $pairs);
    }

    /** Guide's diamond card: the corners of its two diamonds make its eight small mats, each turned only, none turned over. */
    public function test_a_diamonds_corners_make_the_small_mats(): void
    {
        $design = Sizing::ofEverything()->size(['make' => 'diamond-card', 'holds' => ['width' => '6 in', 'height' => '6 in'], 'border' => '1/8 in']);
        $corners = $triangles = [];
        foreach ($design->pieces as $piece) {
            $triangle = Corners::triangle($piece->pattern()->vertices, $piece->sheet);
            $triangle === null || array_push($triangles, ...array_fill(0, $piece->count, [$piece, $triangle]));
            str_contains($piece->id, 'diamond') && array_push($corners, ...array_merge(...array_fill(0, $piece->count, Corners::off($piece->pattern()->vertices, $piece->sheet))));
        }
        self::assertCount(8, $corners);
        self::assertCount(8, $triangles);
        foreach ($triangles as [$piece, $triangle]) {
            $at = array_key_first(array_filter($corners, fn (array $corner) => Corners::isWithin($triangle, $corner, true)));
            self::assertNotNull($at, $piece->id);
            // Laid there: every point of it lies in the triangle that came off, and it was not turned over.
            $isSame = abs($triangle['corner'] - $corners[$at]['corner']) % 2 === 0;
            [$w, $h] = $isSame ? [$triangle['width'], $triangle['height']] : [$triangle['height'], $triangle['width']];
            self::assertTrue(Polygon::at([0, 0], [$corners[$at]['width']->toMillimetres(), 0], [0, $corners[$at]['height']->toMillimetres()])->containsOrTouches(new Point($w->toMillimetres(), 0)));
            self::assertFalse($h->isMoreThan($corners[$at]['height']));
            unset($corners[$at]);
        }
        self::assertSame([], $corners);
    }

    /** What may not be turned comes only out of a corner that lies as it does; a mirror image comes out of none. */
    public function test_a_triangle_is_turned_but_not_turned_over(): void
    {
        $sheet = self::sheet(30, 60);
        $lower = Corners::triangle(self::points([[0, 0], [30, 0], [0, 60]]), $sheet);
        self::assertNotNull($lower);
        self::assertSame(0, $lower['corner']);
        $off = Corners::off(self::points([[0, 0], [100, 0], [100, 40], [70, 100], [0, 100]]), self::sheet(100, 100));
        self::assertSame([[2, 30.0, 60.0]], array_map(fn (array $one) => [$one['corner'], $one['width']->toMillimetres(), $one['height']->toMillimetres()], $off));
        self::assertTrue(Corners::isWithin($lower, $off[0], true));
        self::assertFalse(Corners::isWithin($lower, $off[0], false));
        self::assertFalse(Corners::isWithin($lower, ['corner' => 1] + $off[0], true), 'its mirror image');
        self::assertNull(Corners::triangle(self::points([[0, 0], [30, 0], [30, 60], [0, 60]]), $sheet));
        self::assertNull(Corners::triangle(self::points([[0, 0], [30, 0], [0, 50]]), $sheet));
    }

    /**
     * @param non-empty-list<Point> $points
     * @return non-empty-list<float> how far each lies to the left of a line
     */
    private static function sides(array $points, Point $from, Point $way): array
    {
        return array_map(fn (Point $p): float => $way->cross($p->minus($from)), $points);
    }

    /**
     * @param non-empty-list<Point> $points
     * @return non-empty-list<Point> turned half a turn in a rectangle
     */
    private static function turned(array $points, float $width, float $height): array
    {
        return array_map(fn (Point $p): Point => new Point($width - $p->x, $height - $p->y), $points);
    }

    /**
     * @param list<array{float|int, float|int}> $points
     * @return list<Point>
     */
    private static function points(array $points): array
    {
        return array_map(fn (array $p) => new Point((float) $p[0], (float) $p[1]), $points);
    }

    private static function sheet(float $width, float $height): Rectangle
    {
        return new Rectangle(Length::nearestTo($width), Length::nearestTo($height));
    }
}
