<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Geometry\Point;

/**
 * A ring with fewer points that stays as near as asked to the one it was, in time that grows with its points alone: on from
 * each point that is kept, as long as one line goes through the discs around all that are left out (sleeve fitting; Zhao and
 * Saalfeld, Linear-Time Sleeve-Fitting Polyline Simplification Algorithms, 1997; from memory).
 */
final class Simpler
{
    /**
     * @param non-empty-list<Point> $ring
     * @return non-empty-list<Point> at most so many (more than 3), if need be by being less near
     */
    public static function ring(array $ring, float $tolerance, int $most): array
    {
        do {
            $kept = self::kept([...$ring, $ring[0]], $tolerance);
            // What was kept stays: those left out so far are no nearer than the tolerances together.
            $ring = $kept;
            $tolerance *= 2;
        } while (count($kept) > $most);

        return $kept;
    }

    /**
     * @param non-empty-list<Point> $points
     * @return non-empty-list<Point> the first of them among others, the last not
     */
    private static function kept(array $points, float $tolerance): array
    {
        $kept = [$points[0]];
        [$from, $middle, $half, $reach] = [$points[0], 0.0, INF, 0.0];
        for ($i = 1; $i < count($points); $i++) {
            $away = $points[$i]->minus($from);
            $distance = $away->length();
            $angle = atan2($away->y, $away->x);
            $off = abs(self::turned($angle - $middle));
            // Back by more than it may be off, or beside the sleeve: the one before is kept, and a new sleeve begins there.
            if ($half < INF && ($off > $half + 1e-12 || $distance < $reach - $tolerance)) {
                $from = $points[--$i];
                $kept[] = $from;
                [$middle, $half, $reach] = [0.0, INF, 0.0];

                continue;
            }
            $reach = max($reach, $distance);
            if ($distance > $tolerance) {
                [$middle, $half] = self::narrowed($middle, $half, $angle, asin($tolerance / $distance));
            }
        }

        return $kept;
    }

    /**
     * What two sectors have in common, each by its middle and half its width; radians.
     *
     * @return array{float, float}
     */
    private static function narrowed(float $middle, float $half, float $angle, float $width): array
    {
        if ($half === INF) {
            return [$angle, $width];
        }
        $turn = self::turned($angle - $middle);
        [$low, $high] = [max(-$half, $turn - $width), min($half, $turn + $width)];

        return [$middle + ($low + $high) / 2, max(0.0, ($high - $low) / 2)];
    }

    /** Between half a turn to the right and half a turn to the left. */
    private static function turned(float $angle): float
    {
        return $angle - 2 * M_PI * round($angle / (2 * M_PI));
    }
}
