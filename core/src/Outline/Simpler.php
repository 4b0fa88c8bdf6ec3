<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Geometry\Point;

/** A ring with fewer points that stays as near as asked to the one it was (Ramer 1972, Douglas and Peucker 1973). */
final class Simpler
{
    /**
     * @param non-empty-list<Point> $ring
     * @return non-empty-list<Point> at most so many, if need be by being less near
     */
    public static function ring(array $ring, float $tolerance, int $most): array
    {
        // Between two points that are on the ring for certain: the first, and the farthest from it.
        $far = 0;
        foreach ($ring as $i => $point) {
            $far = $point->minus($ring[0])->length() > $ring[$far]->minus($ring[0])->length() ? $i : $far;
        }
        do {
            $kept = [0 => true, $far => true];
            self::keep($ring, 0, $far, $tolerance, $kept);
            self::keep($ring, $far, count($ring), $tolerance, $kept);
            ksort($kept);
            $tolerance *= 2;
        } while (count($kept) > $most);

        $points = [$ring[0]];
        foreach (array_slice(array_keys($kept), 1) as $i) {
            $points[] = $ring[$i];
        }

        return $points;
    }

    /**
     * @param non-empty-list<Point> $ring
     * @param array<int, true> $kept
     */
    private static function keep(array $ring, int $from, int $to, float $tolerance, array &$kept): void
    {
        $open = [[$from, $to]];
        while (($span = array_pop($open)) !== null) {
            [$first, $last] = $span;
            [$a, $b] = [$ring[$first], $ring[$last % count($ring)]];
            $along = $b->minus($a);
            $length = $along->length();
            [$off, $at] = [$tolerance, null];
            for ($i = $first + 1; $i < $last; $i++) {
                $away = $ring[$i]->minus($a);
                $distance = $length < 1e-9 ? $away->length() : abs($along->cross($away)) / $length;
                if ($distance > $off) {
                    [$off, $at] = [$distance, $i];
                }
            }
            if ($at !== null) {
                $kept[$at] = true;
                array_push($open, [$first, $at], [$at, $last]);
            }
        }
    }
}
