<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Inset;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Paper\Rectangle;

/**
 * Mats for the panels of a pattern: each inset by the border on every side, so that halves need no second thought, and drawn in to the
 * rectangle that can be cut, so that marks lie where they lie on it (the middle of a side stays the middle) and no border is less.
 */
final class Mats
{
    /**
     * @param Length $border what shows around each mat
     * @param Step $step the trimmer's
     * @return list<Mat> none for panels too small for one, or that fall apart
     */
    public static function of(Pattern $pattern, Length $border, Step $step): array
    {
        $mats = [];
        foreach ($pattern->faces as $i => $face) {
            $insets = $face->role->isHidden() ? [] : Inset::of($pattern->polygon($i), $border->toMillimetres());
            if (count($insets) !== 1) {
                continue;
            }
            $along = self::firstSide($pattern, $i);
            $local = array_map(fn (Point $p) => new Point($p->dot($along), $along->cross($p)), $insets[0]->points);
            [$left, $right, $low, $high] = self::bounds($local);
            $size = new Rectangle($step->down(Length::nearestTo($right - $left)), $step->down(Length::nearestTo($high - $low)));
            if (! $size->width->isPositive() || ! $size->height->isPositive()) {
                continue;
            }
            $cut = self::fitted($local, $size);
            $outline = Polygon::of(array_map(fn (Point $p) => $along->times($p->x)->plus((new Point(-$along->y, $along->x))->times($p->y)), $cut));
            $mats[] = new Mat((string) $face->name, $outline, $size, self::corners($cut), $face->twin === null ? null : $pattern->faces[$face->twin]->name);
        }

        return $mats;
    }

    /** Along the sheet, but along its longest side where the panel is a rectangle that lies slanted on the sheet. */
    private static function firstSide(Pattern $pattern, int $face): Point
    {
        $points = $pattern->polygon($face)->points;
        $sides = [];
        foreach ($points as $i => $point) {
            $sides[] = $points[($i + 1) % count($points)]->minus($point);
        }
        $longest = null;
        foreach ($sides as $i => $side) {
            $next = $sides[($i + 1) % count($sides)];
            $isSquareCorner = abs($side->dot($next)) < Tolerance::SAME_POINT_MM * $side->length();
            $isSlanted = abs($side->x) > Tolerance::SAME_POINT_MM && abs($side->y) > Tolerance::SAME_POINT_MM;
            foreach ($isSquareCorner && $isSlanted ? [$side, $next] : [] as $one) {
                $longest = $longest === null || $one->length() > $longest->length() + Tolerance::SAME_POINT_MM ? $one : $longest;
            }
        }

        return $longest === null ? new Point(1, 0) : $longest->times(1 / $longest->length());
    }

    /**
     * @param list<Point> $points
     * @return array{float, float, float, float} left, right, low, high
     */
    private static function bounds(array $points): array
    {
        $bounds = [INF, -INF, INF, -INF];
        foreach ($points as $p) {
            $bounds = [min($bounds[0], $p->x), max($bounds[1], $p->x), min($bounds[2], $p->y), max($bounds[3], $p->y)];
        }

        return $bounds;
    }

    /**
     * The outline drawn in to the size of a rectangle, about a place from which it nowhere leaves what it was.
     *
     * @param list<Point> $ring anticlockwise
     * @return list<Point>
     */
    private static function fitted(array $ring, Rectangle $size): array
    {
        [$left, $right, $low, $high] = self::bounds($ring);
        [$wide, $tall] = [$size->width->toMillimetres() / ($right - $left), $size->height->toMillimetres() / ($high - $low)];
        $exact = Polygon::of($ring);
        $at = fn (Point $fixed): array => array_map(fn (Point $p) => new Point($fixed->x + $wide * ($p->x - $fixed->x), $fixed->y + $tall * ($p->y - $fixed->y)), $ring);
        $xs = [($left + $right) / 2, $left, $right, ...array_map(fn (Point $p) => $p->x, $ring)];
        $ys = [($low + $high) / 2, $low, $high, ...array_map(fn (Point $p) => $p->y, $ring)];
        foreach ($xs as $x) {
            foreach ($ys as $y) {
                $drawn = $at(new Point($x, $y));
                if (array_filter($drawn, fn (Point $p) => ! $exact->containsOrTouches($p)) === []) {
                    return $drawn;
                }
            }
        }

        // Hollow somewhere, as beside a thumb notch: what lies beyond the rectangle is trimmed off.
        $middle = $at(new Point(($left + $right) / 2, ($low + $high) / 2));
        [$left, $right, $low, $high] = self::bounds($middle);

        return $exact->intersection(Polygon::rectangle($left, $low, $right, $high))->points ?? $middle;
    }

    /**
     * The corners of the rectangle that come off: by one straight cut, or square, where a tab is left standing.
     *
     * @param list<Point> $ring anticlockwise
     * @return list<MatCorner>
     */
    private static function corners(array $ring): array
    {
        [$left, $right, $low, $high] = self::bounds($ring);
        $n = count($ring);
        $isAt = fn (float $a, float $b): bool => abs($a - $b) < Tolerance::SAME_POINT_MM;
        $cuts = [];
        foreach (['bottom-left' => [$left, $low], 'bottom-right' => [$right, $low], 'top-right' => [$right, $high], 'top-left' => [$left, $high]] as $corner => [$x, $y]) {
            // The nearest corners of the outline on both sides of the rectangle, and what lies between them.
            $along = $up = null;
            foreach ($ring as $i => $p) {
                $isAt($p->y, $y) && ($along === null || abs($p->x - $x) < abs($ring[$along]->x - $x)) && $along = $i;
                $isAt($p->x, $x) && ($up === null || abs($p->y - $y) < abs($ring[$up]->y - $y)) && $up = $i;
            }
            if ($along === null || $up === null || $along === $up || $isAt($ring[$along]->x, $x) || $isAt($ring[$up]->y, $y)) {
                continue;
            }
            $between = min(($along - $up + $n) % $n, ($up - $along + $n) % $n);
            $inner = $ring[($along + ($n + ($up - $along + $n) % $n === $n + 2 ? 1 : -1) + $n) % $n];
            $isNotch = $between === 2 && $isAt($inner->x, $ring[$along]->x) && $isAt($inner->y, $ring[$up]->y);
            if ($between === 1 || $isNotch) {
                $cuts[] = new MatCorner($corner, Length::nearestTo(abs($ring[$along]->x - $x)), Length::nearestTo(abs($ring[$up]->y - $y)), $isNotch);
            }
        }

        return $cuts;
    }
}
