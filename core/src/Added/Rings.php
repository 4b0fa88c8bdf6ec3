<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Geometry\Inset;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Spec\Border;

/** Outlines of what lies on a panel, in the panel's own frame. */
final class Rings
{
    /** A border of nothing is still drawn in by this much, or the two directions could not be told apart. */
    private const LEAST_MM = 1e-5;

    private const HAIR_MM = 0.1;

    /**
     * @param list<Point> $points
     * @return array{float, float, float, float} left, right, low, high
     */
    public static function bounds(array $points): array
    {
        $bounds = [INF, -INF, INF, -INF];
        foreach ($points as $p) {
            $bounds = [min($bounds[0], $p->x), max($bounds[1], $p->x), min($bounds[2], $p->y), max($bounds[3], $p->y)];
        }

        return $bounds;
    }

    /**
     * A panel drawn in by its border: by the one at its left and right sides, by the other below and above, by as much as its direction
     * has of both on a slanted side.
     *
     * @param list<Point> $panel
     * @return ?list<Point> null where nothing is left, or it falls apart
     */
    public static function inset(array $panel, Border $border): ?array
    {
        [$wide, $high] = [max($border->width->toMillimetres(), self::LEAST_MM), max($border->height->toMillimetres(), self::LEAST_MM)];
        if ($border->width->isZero() && $border->height->isZero()) {
            return $panel;
        }
        [$left, $right, $low, $top] = self::bounds($panel);
        if (count($panel) === 4 && array_filter($panel, fn (Point $p) => ($p->x !== $left && $p->x !== $right) || ($p->y !== $low && $p->y !== $top)) === []) {
            // A rectangle, as most panels are.
            return $right - $left <= 2 * $wide || $top - $low <= 2 * $high ? null : array_map(fn (Point $p) => new Point($p->x === $left ? $left + $wide : $right - $wide, $p->y === $low ? $low + $high : $top - $high), $panel);
        }
        // Drawn out until both are one distance, and back.
        $stretch = $wide / $high;
        $found = Inset::of(Polygon::of(array_map(fn (Point $p) => new Point($p->x, $p->y * $stretch), $panel)), $wide);

        return count($found) === 1 ? array_map(fn (Point $p) => new Point($p->x, $p->y / $stretch), $found[0]->points) : null;
    }

    /**
     * The outline drawn to the size of a rectangle, about a place from which it nowhere leaves what it was: marks lie where they lie on the
     * rectangle, and no border is less.
     *
     * @param list<Point> $ring anticlockwise
     * @return list<Point>
     */
    public static function fitted(array $ring, Rectangle $size): array
    {
        [$left, $right, $low, $high] = self::bounds($ring);
        [$wide, $tall] = [$size->width->toMillimetres() / ($right - $left), $size->height->toMillimetres() / ($high - $low)];
        $exact = Polygon::of($ring);
        $at = fn (Point $fixed): array => array_map(fn (Point $p) => new Point($fixed->x + $wide * ($p->x - $fixed->x), $fixed->y + $tall * ($p->y - $fixed->y)), $ring);
        $middle = new Point(($left + $right) / 2, ($low + $high) / 2);
        if ($wide > 1.0 + 1e-9 || $tall > 1.0 + 1e-9) {
            // Cut too large: as it came out.
            return $at($middle);
        }
        $xs = [$middle->x, $left, $right, ...array_map(fn (Point $p) => $p->x, $ring)];
        $ys = [$middle->y, $low, $high, ...array_map(fn (Point $p) => $p->y, $ring)];
        foreach ($xs as $x) {
            foreach ($ys as $y) {
                $drawn = $at(new Point($x, $y));
                if (array_filter($drawn, fn (Point $p) => ! $exact->containsOrTouches($p)) === []) {
                    return $drawn;
                }
            }
        }
        // Hollow somewhere, as beside a thumb notch: what lies beyond the rectangle is trimmed off.
        [$left, $right, $low, $high] = self::bounds($at($middle));
        $trimmed = $exact->intersection(Polygon::rectangle($left, $low, $right, $high))->points ?? $at($middle);
        [$l, $r, $b, $t] = self::bounds($trimmed);
        $isWhole = abs($r - $l - ($right - $left)) < Tolerance::SAME_POINT_MM && abs($t - $b - ($high - $low)) < Tolerance::SAME_POINT_MM;

        return $isWhole ? $trimmed : $at($middle);
    }

    /**
     * The same without sides shorter than a hair: nobody cuts them. What touches the box around it goes on doing so.
     *
     * @param list<Point> $ring
     * @return list<Point>
     */
    public static function withoutHairs(array $ring): array
    {
        [$left, $right, $low, $high] = self::bounds($ring);
        $isOut = fn (Point $p): bool => min(abs($p->x - $left), abs($p->x - $right), abs($p->y - $low), abs($p->y - $high)) < Tolerance::SAME_POINT_MM;
        for ($i = 0; count($ring) > 3 && $i < count($ring);) {
            $next = ($i + 1) % count($ring);
            if ($ring[$next]->minus($ring[$i])->length() >= self::HAIR_MM) {
                $i++;

                continue;
            }
            array_splice($ring, $isOut($ring[$next]) ? $i : $next, 1);
        }

        return $ring;
    }

    /**
     * What is left of a ring on the left of a line.
     *
     * @param list<Point> $ring
     * @return list<Point>
     */
    public static function between(array $ring, float $left, float $right, float $low, float $high): array
    {
        return Polygon::of($ring)->intersection(Polygon::rectangle($left, $low, $right, $high))->points ?? [];
    }

    /**
     * Which parts of the rectangle around an outline come off, each along the outline and round the rectangle's corner.
     *
     * @param Polygon $outline from the rectangle's lower left corner
     * @return list<list<Point>> each ring beginning at a corner of the rectangle where it has one
     */
    public static function waste(Polygon $outline, float $width, float $height): array
    {
        $near = Tolerance::SAME_POINT_MM;
        $side = fn (Point $p): array => array_keys(array_filter([abs($p->y) < $near, abs($p->x - $width) < $near, abs($p->y - $height) < $near, abs($p->x) < $near]));
        // How far round the rectangle a point on it lies, anticlockwise from its lower left corner.
        $round = fn (Point $p): float => match ($side($p)[0] ?? 3) {
            0 => $p->x, 1 => $width + $p->y, 2 => $width + $height + ($width - $p->x), default => 2 * $width + $height + ($height - $p->y),
        };
        $points = $outline->points;
        $n = count($points);
        $on = array_values(array_filter(array_keys($points), fn (int $i) => $side($points[$i]) !== []));
        $rings = [];
        foreach ($on as $k => $i) {
            $j = $on[($k + 1) % count($on)];
            $chain = [$points[$i]];
            for ($m = ($i + 1) % $n; $m !== $j; $m = ($m + 1) % $n) {
                $chain[] = $points[$m];
            }
            $chain[] = $points[$j];
            if (count($chain) === 2 && array_intersect($side($points[$i]), $side($points[$j])) !== []) {
                continue;
            }
            [$from, $to, $whole] = [$round($points[$i]), $round($points[$j]), 2 * ($width + $height)];
            $to <= $from + $near && $to += $whole;
            $corners = [];
            foreach ([[0.0, new Point(0, 0)], [$width, new Point($width, 0)], [$width + $height, new Point($width, $height)], [2 * $width + $height, new Point(0, $height)]] as [$at, $corner]) {
                foreach ([$at, $at + $whole] as $where) {
                    $where > $from + $near && $where < $to - $near && $corners[(string) $where] = [$where, $corner];
                }
            }
            usort($corners, fn (array $a, array $b) => $a[0] <=> $b[0]);
            // Round the rectangle and back along the outline: the waste on the left.
            $rings[] = [...array_column($corners, 1), ...array_reverse($chain)];
        }

        return $rings;
    }
}
