<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Inset;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Paper\Rectangle;

/** Mats for the panels of a pattern: each inset by the border on every side, so that halves need no second thought. */
final class Mats
{
    /**
     * @param Length $border what shows around each mat
     * @param Step $cut the trimmer's step
     * @return list<Mat> none for panels too small for one, or that fall apart
     */
    public static function of(Pattern $pattern, Length $border, Step $cut): array
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
            $size = new Rectangle($cut->down(Length::nearestTo($right - $left)), $cut->down(Length::nearestTo($high - $low)));
            if (! $size->width->isPositive() || ! $size->height->isPositive()) {
                continue;
            }
            $mats[] = new Mat((string) $face->name, $insets[0], $size, self::corners($local), $face->twin === null ? null : $pattern->faces[$face->twin]->name);
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
     * The corners of the rectangle that one straight cut takes off.
     *
     * @param list<Point> $ring
     * @return list<array{corner: string, along: Length, up: Length, rail: Length}>
     */
    private static function corners(array $ring): array
    {
        [$left, $right, $low, $high] = self::bounds($ring);
        $cuts = [];
        foreach (['bottom-left' => [$left, $low], 'bottom-right' => [$right, $low], 'top-right' => [$right, $high], 'top-left' => [$left, $high]] as $corner => [$x, $y]) {
            $along = $up = INF;
            foreach ($ring as $p) {
                abs($p->y - $y) < Tolerance::SAME_POINT_MM && $along = min($along, abs($p->x - $x));
                abs($p->x - $x) < Tolerance::SAME_POINT_MM && $up = min($up, abs($p->y - $y));
            }
            if ($along > Tolerance::SAME_POINT_MM && $up > Tolerance::SAME_POINT_MM && is_finite($along) && is_finite($up)) {
                $cuts[] = [
                    'corner' => $corner, 'along' => Length::nearestTo($along), 'up' => Length::nearestTo($up),
                    'rail' => Length::nearestTo($along * $up / hypot($along, $up)),
                ];
            }
        }

        return $cuts;
    }
}
