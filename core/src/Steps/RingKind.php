<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Tolerance;

/** What shape a ring is that is cut out, as a maker would call it. */
enum RingKind: string
{
    case Rectangle = 'rect';
    case Rounded = 'rounded';
    case Circle = 'circle';
    case Oval = 'oval';
    /** Corners that can be said one by one. */
    case Corners = 'corners';
    /** More than can be said. */
    case Outline = 'outline';

    private const SAYABLE = 8;

    public static function of(Ring $ring): self
    {
        $arcs = $ring->arcs();
        if (count($arcs) === 4) {
            $isOne = array_filter($arcs, fn (Arc $arc) => ! $arc->centre->is->isAt($arcs[0]->centre->is)) === [];

            return $isOne ? self::Circle : self::Rounded;
        }
        $points = $ring->points;
        if (count($points) === 4 && self::isStraight($points)) {
            return self::Rectangle;
        }

        return match (true) {
            count($points) <= self::SAYABLE => self::Corners,
            self::isOval($points) => self::Oval,
            default => self::Outline,
        };
    }

    /** @param list<Point> $points */
    private static function isStraight(array $points): bool
    {
        foreach ($points as $i => $p) {
            $side = $points[($i + 1) % 4]->minus($p);
            if (abs($side->x) > Tolerance::SAME_POINT_MM && abs($side->y) > Tolerance::SAME_POINT_MM) {
                return false;
            }
        }

        return true;
    }

    /** @param non-empty-list<Point> $points */
    private static function isOval(array $points): bool
    {
        [$xs, $ys] = [array_map(fn (Point $p) => $p->x, $points), array_map(fn (Point $p) => $p->y, $points)];
        [$x, $y] = [(min($xs) + max($xs)) / 2, (min($ys) + max($ys)) / 2];
        [$a, $b] = [(max($xs) - min($xs)) / 2, (max($ys) - min($ys)) / 2];
        foreach ($points as $p) {
            if (abs((($p->x - $x) / $a) ** 2 + (($p->y - $y) / $b) ** 2 - 1) > 1e-6) {
                return false;
            }
        }

        return true;
    }
}
