<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

use LogicException;

/** A simple polygon of at least three points in millimetres, anticlockwise seen from above. */
final readonly class Polygon
{
    /** @param non-empty-list<Point> $points anticlockwise */
    private function __construct(public array $points)
    {
    }

    /** @param list<Point> $points in either winding; turned anticlockwise here */
    public static function of(array $points): self
    {
        if (count($points) < 3) {
            throw new LogicException('A polygon has at least three points.');
        }

        return new self(self::signedArea($points) < 0 ? array_reverse($points) : $points);
    }

    /**
     * The corners of the smallest convex polygon round some points, anticlockwise, none between two others (Andrew, Information Processing
     * Letters 9, 1979).
     *
     * @param list<Point> $points
     * @return list<Point>
     */
    public static function hull(array $points): array
    {
        usort($points, fn (Point $a, Point $b) => [$a->x, $a->y] <=> [$b->x, $b->y]);

        return [...self::halfHull($points), ...self::halfHull(array_reverse($points))];
    }

    /**
     * @param list<Point> $points from one end to the other
     * @return list<Point> those that turn left only, without the last
     */
    private static function halfHull(array $points): array
    {
        $chain = [];
        foreach ($points as $point) {
            while (count($chain) > 1 && $chain[count($chain) - 1]->minus($chain[count($chain) - 2])->cross($point->minus($chain[count($chain) - 1])) <= 1e-9) {
                array_pop($chain);
            }
            $chain[] = $point;
        }
        array_pop($chain);

        return $chain;
    }

    /** @param array{float|int, float|int} ...$points x and y of each corner, in either winding */
    public static function at(array ...$points): self
    {
        return self::of(array_values(array_map(fn (array $p) => new Point((float) $p[0], (float) $p[1]), $points)));
    }

    public static function rectangle(float $left, float $bottom, float $right, float $top): self
    {
        return self::of([new Point($left, $bottom), new Point($right, $bottom), new Point($right, $top), new Point($left, $top)]);
    }

    /** In square millimetres. */
    public function area(): float
    {
        return self::signedArea($this->points);
    }

    /**
     * What is left of this polygon on the left of the line from $from to $to, the line itself included; null if nothing is.
     * Exact for convex polygons (Sutherland and Hodgman, "Reentrant polygon clipping", CACM 17, 1974).
     */
    public function clippedTo(Point $from, Point $to): ?self
    {
        [$fx, $fy, $dx, $dy] = [$from->x, $from->y, $to->x - $from->x, $to->y - $from->y];
        $isWhole = true;
        foreach ($this->points as $point) {
            if ($dx * ($point->y - $fy) - $dy * ($point->x - $fx) < 0) {
                $isWhole = false;
                break;
            }
        }
        if ($isWhole) {
            return $this;
        }
        $kept = [];
        $last = $this->points[count($this->points) - 1];
        $before = $dx * ($last->y - $fy) - $dy * ($last->x - $fx);
        foreach ($this->points as $point) {
            $here = $dx * ($point->y - $fy) - $dy * ($point->x - $fx);
            if (($before > 0 && $here < 0) || ($before < 0 && $here > 0)) {
                $share = $before / ($before - $here);
                $kept[] = new Point($last->x + ($point->x - $last->x) * $share, $last->y + ($point->y - $last->y) * $share);
            }
            if ($here >= 0) {
                $kept[] = $point;
            }
            [$last, $before] = [$point, $here];
        }

        return count($kept) < 3 || abs(self::signedArea($kept)) < Tolerance::NO_AREA_MM2 ? null : new self($kept);
    }

    /** The part this convex polygon shares with another convex one; null where they only touch or lie apart. */
    public function intersection(self $convex): ?self
    {
        $shared = $this;
        foreach ($convex->points as $i => $point) {
            $shared = $shared?->clippedTo($point, $convex->points[($i + 1) % count($convex->points)]);
        }

        return $shared;
    }

    /** How far a point lies from the nearest side, mm: positive inside, negative outside. */
    public function clearance(Point $point): float
    {
        [$x, $y] = [$point->x, $point->y];
        [$nearest, $isInside] = [INF, false];
        $a = $this->points[count($this->points) - 1];
        foreach ($this->points as $b) {
            [$dx, $dy, $px, $py] = [$b->x - $a->x, $b->y - $a->y, $x - $a->x, $y - $a->y];
            $share = max(0.0, min(1.0, ($px * $dx + $py * $dy) / max($dx * $dx + $dy * $dy, PHP_FLOAT_MIN)));
            $nearest = min($nearest, ($px - $share * $dx) ** 2 + ($py - $share * $dy) ** 2);
            if (($a->y > $y) !== ($b->y > $y) && $x < $dx * $py / $dy + $a->x) {
                $isInside = ! $isInside;
            }
            $a = $b;
        }

        return ($isInside ? 1 : -1) * sqrt($nearest);
    }

    public function containsOrTouches(Point $point): bool
    {
        $inside = false;
        foreach ($this->points as $i => $a) {
            $b = $this->points[($i + 1) % count($this->points)];
            if ((new Segment($a, $b))->distanceTo($point) < Tolerance::SAME_POINT_MM) {
                return true;
            }
            if (($a->y > $point->y) !== ($b->y > $point->y)
                && $point->x < ($b->x - $a->x) * ($point->y - $a->y) / ($b->y - $a->y) + $a->x) {
                $inside = ! $inside;
            }
        }

        return $inside;
    }

    /** @param list<Point> $points */
    private static function signedArea(array $points): float
    {
        $double = 0.0;
        $last = $points[count($points) - 1] ?? null;
        foreach ($points as $point) {
            $last !== null && $double += $last->x * $point->y - $last->y * $point->x;
            $last = $point;
        }

        return $double / 2;
    }
}
