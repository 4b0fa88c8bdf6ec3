<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Geometry\Vector;

/**
 * The smallest box around a folded piece that lies along one of its faces and one of that face's edges.
 *
 * Width is the extent nearest the asked direction on face 0, depth the one nearest face 0's normal, height the third;
 * millimetres.
 */
final readonly class FoldedBox
{
    /** Volumes (mm³) and areas (mm²) this close are one: the first frame found is kept. */
    private const SAME_MM3 = 1e-3;

    /** Cosines this close to 0 or 1 are right or no angles: rounding through a chain of rotations. */
    private const SAME_DIRECTION = 1e-9;

    private function __construct(public float $width, public float $height, public float $depth)
    {
    }

    public static function around(Folding $folding, Point $widthDirection): self
    {
        return self::filled($folding, $widthDirection) ?? self::smallest($folding, $widthDirection);
    }

    /**
     * The box along face 0 and its first side, where every corner of it is a corner of the piece: whatever holds all of them is
     * no smaller. Null where it is not so filled.
     */
    private static function filled(Folding $folding, Point $widthDirection): ?self
    {
        $ring = $folding->faces[0];
        $axes = self::axes($ring, $ring[1]->minus($ring[0])->unit());
        $corners = array_merge(...$folding->faces);
        $along = array_map(fn (Vector $axis): array => array_map($axis->dot(...), $corners), $axes);
        [$u, $v, $w] = array_map(self::ends(...), $along);
        $reached = [];
        foreach ($along[0] as $n => $at) {
            [$a, $b, $c] = [self::end($at, $u), self::end($along[1][$n], $v), self::end($along[2][$n], $w)];
            $a === null || $b === null || $c === null || $reached["$a$b$c"] = true;
        }
        $extents = [$u[1] - $u[0], $v[1] - $v[0], $w[1] - $w[0]];
        $all = 2 ** count(array_filter($extents, fn (float $extent) => $extent >= Tolerance::CLOSED_FOLD_MM));

        return count($reached) === $all ? self::named($axes, $extents, Vector::onSheet($widthDirection)->unit()) : null;
    }

    /**
     * @param list<float> $coordinates
     * @return array{float, float} least and most
     */
    private static function ends(array $coordinates): array
    {
        return $coordinates === [] ? [0.0, 0.0] : [min($coordinates), max($coordinates)];
    }

    /**
     * Which of two ends a coordinate is at: 0 or 1, null for neither; where both are one, it is 0.
     *
     * @param array{float, float} $ends
     */
    private static function end(float $at, array $ends): ?int
    {
        return match (true) {
            $at - $ends[0] < Tolerance::CLOSED_FOLD_MM => 0,
            $ends[1] - $at < Tolerance::CLOSED_FOLD_MM => 1,
            default => null,
        };
    }

    private static function smallest(Folding $folding, Point $widthDirection): self
    {
        $points = self::distinct(array_merge(...$folding->faces));
        $best = null;
        $smallest = [INF, INF];
        foreach (self::frames($folding) as $axes) {
            [$u, $v, $w] = [self::extent($points, $axes[0]), self::extent($points, $axes[1]), self::extent($points, $axes[2])];
            $size = [$u * $v * $w, $u * $v + $v * $w + $w * $u];
            if ($size[0] < $smallest[0] - self::SAME_MM3 || ($size[0] < $smallest[0] + self::SAME_MM3 && $size[1] < $smallest[1] - self::SAME_MM3)) {
                [$best, $smallest] = [[$axes, [$u, $v, $w]], $size];
            }
        }
        assert($best !== null);

        return self::named($best[0], $best[1], Vector::onSheet($widthDirection)->unit());
    }

    /**
     * @param array{Vector, Vector, Vector} $axes
     * @param array{float, float, float} $extents
     */
    private static function named(array $axes, array $extents, Vector $width): self
    {
        $depth = self::nearest(new Vector(0, 0, 1), $axes);
        $across = self::nearest($width, array_diff_key($axes, [$depth => true]));
        $height = 3 - $depth - $across;

        return new self($extents[$across], $extents[$height], $extents[$depth]);
    }

    /** @param array<int, Vector> $axes */
    private static function nearest(Vector $direction, array $axes): int
    {
        $nearest = 0;
        $most = -1.0;
        foreach ($axes as $i => $axis) {
            $share = abs($axis->dot($direction));
            $share > $most && [$nearest, $most] = [$i, $share];
        }

        return $nearest;
    }

    /** @return iterable<array{Vector, Vector, Vector}> one frame for each different direction of box */
    private static function frames(Folding $folding): iterable
    {
        $seen = [];
        foreach ($folding->faces as $corners) {
            $n = count($corners);
            $tried = [];
            foreach ($corners as $i => $corner) {
                $along = $corners[($i + 1) % $n]->minus($corner)->unit();
                if (self::isSquareToOneOf($along, $tried)) {
                    continue;
                }
                $tried[] = $along;
                $axes = self::axes($corners, $along);
                $key = array_map(self::directionKey(...), $axes);
                sort($key);
                $key = implode(';', $key);
                if (! isset($seen[$key])) {
                    $seen[$key] = true;
                    yield $axes;
                }
            }
        }
    }

    /**
     * @param list<Vector> $ring of a face
     * @param Vector $along one of its sides, as a unit
     * @return array{Vector, Vector, Vector} along it, square to it, and square to the face
     */
    private static function axes(array $ring, Vector $along): array
    {
        $normal = Overlap::normal($ring);

        return [$along, $normal->cross($along), $normal];
    }

    /**
     * Whether a direction gives the same frame as one of the others in its plane: along it or square to it.
     *
     * @param list<Vector> $others
     */
    private static function isSquareToOneOf(Vector $direction, array $others): bool
    {
        foreach ($others as $other) {
            $cosine = abs($direction->dot($other));
            if ($cosine < self::SAME_DIRECTION || $cosine > 1 - self::SAME_DIRECTION) {
                return true;
            }
        }

        return false;
    }

    /** The same for a direction and its opposite. */
    private static function directionKey(Vector $v): string
    {
        $sign = $v->x < -1e-9 || (abs($v->x) < 1e-9 && ($v->y < -1e-9 || (abs($v->y) < 1e-9 && $v->z < 0))) ? -1 : 1;

        return sprintf('%.6F,%.6F,%.6F', $sign * $v->x + 0.0, $sign * $v->y + 0.0, $sign * $v->z + 0.0);
    }

    /**
     * @param list<Vector> $points
     * @return list<Vector> without the copies that neighbouring faces have of one
     */
    private static function distinct(array $points): array
    {
        $seen = [];
        foreach ($points as $point) {
            $seen[sprintf('%.5F,%.5F,%.5F', $point->x, $point->y, $point->z)] = $point;
        }

        return array_values($seen);
    }

    /** @param list<Vector> $points */
    private static function extent(array $points, Vector $axis): float
    {
        [$x, $y, $z] = [$axis->x, $axis->y, $axis->z];
        [$least, $most] = [INF, -INF];
        foreach ($points as $point) {
            $along = $x * $point->x + $y * $point->y + $z * $point->z;
            $along < $least && $least = $along;
            $along > $most && $most = $along;
        }

        return $points === [] ? 0.0 : $most - $least;
    }
}
