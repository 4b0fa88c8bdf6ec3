<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Geometry\Point;

/** Curves as short straight pieces, none farther from its curve than asked. */
final class Curve
{
    private const MOST_PIECES = 500;

    /** Radians; an arc in finer pieces has more of them than it may. */
    private const FINEST = 1e-6;

    /**
     * A Bézier curve of degree 2 or 3 without its first point, in as many pieces as its second differences ask for
     * (Wang 1984; in Farin, Curves and Surfaces for CAGD, from memory).
     *
     * @param array{Point, Point, Point, Point}|array{Point, Point, Point} $points
     * @return list<Point>
     */
    public static function bezier(array $points, float $tolerance): array
    {
        $degree = count($points) - 1;
        $bend = 0.0;
        for ($i = 0; $i + 2 <= $degree; $i++) {
            $bend = max($bend, $points[$i]->plus($points[$i + 2])->minus($points[$i + 1]->times(2))->length());
        }
        $pieces = self::pieces(sqrt($degree * ($degree - 1) * $bend / (8 * $tolerance)));
        $curve = [];
        for ($i = 1; $i <= $pieces; $i++) {
            $t = $i / $pieces;
            $left = $points;
            while (count($left) > 1) {
                $left = array_map(fn (Point $a, Point $b) => $a->times(1 - $t)->plus($b->times($t)), array_slice($left, 0, -1), array_slice($left, 1));
            }
            $curve[] = $left[0];
        }

        return $curve;
    }

    /**
     * An arc of an ellipse whose axes are turned, from one angle over another, both ends included.
     *
     * @param float $turn of the first axis, and the angles: radians, anticlockwise where y is up
     * @return list<Point>
     */
    public static function arc(Point $centre, float $radiusX, float $radiusY, float $turn, float $from, float $sweep, float $tolerance): array
    {
        $radius = max($radiusX, $radiusY, $tolerance);
        // A chord is farthest from its arc in the middle, by radius × (1 − cos half the angle).
        $pieces = self::pieces(abs($sweep) / max(self::FINEST, 2 * acos(max(-1.0, 1 - $tolerance / $radius))));
        $arc = [];
        for ($i = 0; $i <= $pieces; $i++) {
            $angle = $from + $sweep * $i / $pieces;
            [$x, $y] = [$radiusX * cos($angle), $radiusY * sin($angle)];
            $arc[] = new Point($centre->x + $x * cos($turn) - $y * sin($turn), $centre->y + $x * sin($turn) + $y * cos($turn));
        }

        return $arc;
    }

    private static function pieces(float $asked): int
    {
        return (int) max(1, min(self::MOST_PIECES, is_nan($asked) ? 1 : ceil($asked)));
    }
}
