<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Geometry;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Segment;
use LogicException;
use PHPUnit\Framework\TestCase;

final class PolygonTest extends TestCase
{
    public function test_either_winding_becomes_anticlockwise(): void
    {
        $clockwise = Polygon::of([new Point(0, 0), new Point(0, 2), new Point(3, 2), new Point(3, 0)]);
        self::assertEqualsWithDelta(6.0, $clockwise->area(), 1e-12);
    }

    public function test_two_points_are_no_polygon(): void
    {
        $this->expectException(LogicException::class);
        Polygon::of([new Point(0, 0), new Point(1, 0)]);
    }

    public function test_shares_an_area_only_where_convex_polygons_overlap(): void
    {
        $square = Polygon::rectangle(0, 0, 10, 10);
        self::assertEqualsWithDelta(25.0, $square->intersection(Polygon::rectangle(5, 5, 20, 20))?->area() ?? 0.0, 1e-9);
        self::assertNull($square->intersection(Polygon::rectangle(10, 0, 20, 10)), 'touching is not overlapping');
        self::assertNull($square->intersection(Polygon::rectangle(11, 0, 20, 10)));
        $triangle = Polygon::of([new Point(0, 0), new Point(20, 0), new Point(0, 20)]);
        // The unit square against x + y <= 20 in a square of 10 loses nothing; against x + y <= 10 half.
        self::assertEqualsWithDelta(100.0, $square->intersection($triangle)?->area() ?? 0.0, 1e-9);
        $half = Polygon::of([new Point(0, 0), new Point(10, 0), new Point(0, 10)]);
        self::assertEqualsWithDelta(50.0, $square->intersection($half)?->area() ?? 0.0, 1e-9);
    }

    public function test_points_on_the_edge_touch(): void
    {
        $square = Polygon::rectangle(0, 0, 10, 10);
        self::assertTrue($square->containsOrTouches(new Point(5, 5)));
        self::assertTrue($square->containsOrTouches(new Point(10, 5)));
        self::assertTrue($square->containsOrTouches(new Point(0, 0)));
        self::assertFalse($square->containsOrTouches(new Point(10.1, 5)));
        self::assertFalse($square->containsOrTouches(new Point(-1, 0)));
    }

    public function test_a_segment_contains_strictly_only_what_is_between_its_ends(): void
    {
        $segment = new Segment(new Point(0, 0), new Point(10, 10));
        self::assertTrue($segment->containsStrictly(new Point(5, 5)));
        self::assertFalse($segment->containsStrictly(new Point(0, 0)));
        self::assertFalse($segment->containsStrictly(new Point(5, 5.1)));
        self::assertFalse($segment->containsStrictly(new Point(11, 11)));
        self::assertEqualsWithDelta(M_SQRT2, $segment->distanceTo(new Point(11, 11)), 1e-12);
        self::assertEqualsWithDelta(10 * M_SQRT2, $segment->length(), 1e-12);
    }
}
