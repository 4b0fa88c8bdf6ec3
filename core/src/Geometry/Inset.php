<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

/**
 * A polygon drawn in by the same distance on every side, with sharp corners.
 *
 * Each side is moved inwards and the corners are where neighbouring sides then meet. Where sides vanish or the shape
 * falls apart, the moved outline crosses itself: it is cut at the crossings, and of the loops only those stay whose
 * every corner keeps the distance. Derived here; held against a polygon-offset library in the tests.
 */
final class Inset
{
    /** A corner may lie this much nearer than asked (mm): rounding of a crossing. */
    private const SLACK_MM = 1e-6;

    /** Crossings in the last billionth of a side are its end. */
    private const END = 1e-9;

    /**
     * @param float $distance in millimetres, not negative
     * @return list<Polygon> none where nothing is left, several where it falls apart
     */
    public static function of(Polygon $polygon, float $distance): array
    {
        if ($distance <= 0.0) {
            return [$polygon];
        }
        $left = [];
        foreach (self::simpleLoops(self::moved(self::corners($polygon->points), $distance)) as $loop) {
            if (count($loop) >= 3 && self::area($loop) > Tolerance::NO_AREA_MM2 && self::keepsDistance($loop, $polygon, $distance)) {
                $left[] = Polygon::of($loop);
            }
        }

        return $left;
    }

    /** The other way: every side moved out, corners sharp. For outlines without bays narrower than twice the distance. */
    public static function out(Polygon $polygon, float $distance): Polygon
    {
        return $distance <= 0.0 ? $polygon : Polygon::of(self::moved(self::corners($polygon->points), -$distance));
    }

    /**
     * A vertex in the middle of a side would be moved past the side's end.
     *
     * @param list<Point> $points
     * @return list<Point> without those at which nothing turns
     */
    private static function corners(array $points): array
    {
        $n = count($points);
        $turns = fn (Point $p, int $i): bool => abs(
            self::direction($points[($i + $n - 1) % $n], $p)->cross(self::direction($p, $points[($i + 1) % $n])),
        ) > self::END;

        return array_values(array_filter($points, $turns, ARRAY_FILTER_USE_BOTH));
    }

    /**
     * @param list<Point> $points anticlockwise
     * @return list<Point> where neighbouring sides, each moved inwards, meet
     */
    private static function moved(array $points, float $distance): array
    {
        $n = count($points);
        $corners = [];
        foreach ($points as $i => $here) {
            $in = self::direction($points[($i + $n - 1) % $n], $here);
            $out = self::direction($here, $points[($i + 1) % $n]);
            $turn = 1 + $in->dot($out);
            // The bisector of both inward normals, as long as the mitre.
            $toCorner = new Point(-$in->y - $out->y, $in->x + $out->x);
            $corners[] = $here->plus($toCorner->times($distance / max($turn, PHP_FLOAT_EPSILON)));
        }

        return $corners;
    }

    private static function direction(Point $from, Point $to): Point
    {
        $along = $to->minus($from);

        return $along->times(1 / max($along->length(), PHP_FLOAT_MIN));
    }

    /**
     * @param list<Point> $loop
     * @return list<list<Point>> loops that no longer cross themselves
     */
    private static function simpleLoops(array $loop): array
    {
        $done = [];
        $open = [$loop];
        while ($open !== []) {
            $points = array_pop($open);
            $crossing = self::firstCrossing($points);
            if ($crossing === null) {
                $done[] = $points;

                continue;
            }
            [$i, $j, $at] = $crossing;
            $open[] = [$at, ...array_slice($points, $i + 1, $j - $i)];
            $open[] = [...array_slice($points, 0, $i + 1), $at, ...array_slice($points, $j + 1)];
        }

        return $done;
    }

    /**
     * @param list<Point> $points
     * @return array{int, int, Point}|null two sides that cross, and where
     */
    private static function firstCrossing(array $points): ?array
    {
        $n = count($points);
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 2; $j < $n; $j++) {
                if ($i === 0 && $j === $n - 1) {
                    continue;
                }
                $at = self::crossing($points[$i], $points[$i + 1], $points[$j], $points[($j + 1) % $n]);
                if ($at !== null) {
                    return [$i, $j, $at];
                }
            }
        }

        return null;
    }

    private static function crossing(Point $a, Point $b, Point $c, Point $d): ?Point
    {
        [$along, $other] = [$b->minus($a), $d->minus($c)];
        $cross = $along->cross($other);
        if (abs($cross) < PHP_FLOAT_EPSILON) {
            return null;
        }
        $s = $c->minus($a)->cross($other) / $cross;
        $t = $c->minus($a)->cross($along) / $cross;
        $isWithin = $s > self::END && $s < 1 - self::END && $t > self::END && $t < 1 - self::END;

        return $isWithin ? $a->plus($along->times($s)) : null;
    }

    /** @param list<Point> $loop */
    private static function keepsDistance(array $loop, Polygon $polygon, float $distance): bool
    {
        $sides = [];
        foreach ($polygon->points as $i => $point) {
            $sides[] = new Segment($point, $polygon->points[($i + 1) % count($polygon->points)]);
        }
        foreach ($loop as $i => $corner) {
            $next = $loop[($i + 1) % count($loop)];
            foreach ([$corner, $corner->plus($next)->times(0.5)] as $point) {
                if (! $polygon->containsOrTouches($point)) {
                    return false;
                }
                foreach ($sides as $side) {
                    if ($side->distanceTo($point) < $distance - self::SLACK_MM * max(1.0, $distance)) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    /** @param list<Point> $loop */
    private static function area(array $loop): float
    {
        $double = 0.0;
        foreach ($loop as $i => $point) {
            $double += $point->cross($loop[($i + 1) % count($loop)]);
        }

        return $double / 2;
    }
}
