<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Steps;

/**
 * Straight pieces compared as what they cover, however they are cut up.
 *
 * @phpstan-type XY array{float, float}
 * @phpstan-type Segment array{XY, XY}
 */
final class Straight
{
    private const NEAR_MM = 0.004;

    /**
     * What an odd number of them covers.
     *
     * @param list<Segment> $segments
     * @return list<Segment>
     */
    public static function oddly(array $segments): array
    {
        return self::counted($segments, fn (int $covers): bool => $covers % 2 === 1);
    }

    /**
     * What any of them covers.
     *
     * @param list<Segment> $segments
     * @return list<Segment>
     */
    public static function merged(array $segments): array
    {
        return self::counted($segments, fn (int $covers): bool => $covers > 0);
    }

    /**
     * What of the first is covered by none of the second.
     *
     * @param list<Segment> $segments each by itself
     * @param list<Segment> $others
     * @return list<Segment>
     */
    public static function without(array $segments, array $others): array
    {
        $left = [];
        foreach ($segments as [$o, $end]) {
            $length = hypot($end[0] - $o[0], $end[1] - $o[1]);
            $way = [($end[0] - $o[0]) / $length, ($end[1] - $o[1]) / $length];
            $at = fn (array $p): float => ($p[0] - $o[0]) * $way[0] + ($p[1] - $o[1]) * $way[1];
            $over = [];
            foreach ($others as $other) {
                self::isOn([$o, $end], $other) && $over[] = [min($at($other[0]), $at($other[1])), max($at($other[0]), $at($other[1]))];
            }
            sort($over);
            $from = 0.0;
            foreach ([...$over, [$length, $length]] as [$begins, $ends]) {
                min($begins, $length) - $from > 0.02 && $left[] = array_map(fn (float $t) => [$o[0] + $t * $way[0], $o[1] + $t * $way[1]], [$from, min($begins, $length)]);
                $from = max($from, $ends);
            }
        }

        return $left;
    }

    /**
     * @param list<Segment> $one
     * @param list<Segment> $two
     * @return list<string> what one has and the other has not
     */
    public static function differences(array $one, array $two, float $tolerance): array
    {
        $ends = fn (array $a, array $b): float => min(
            max(hypot($a[0][0] - $b[0][0], $a[0][1] - $b[0][1]), hypot($a[1][0] - $b[1][0], $a[1][1] - $b[1][1])),
            max(hypot($a[0][0] - $b[1][0], $a[0][1] - $b[1][1]), hypot($a[1][0] - $b[0][0], $a[1][1] - $b[0][1])),
        );
        $said = fn (array $s): string => sprintf('%.3f,%.3f – %.3f,%.3f', ...$s[0], ...$s[1]);
        $differences = [];
        foreach ([['only followed', $one, $two], ['only in the pattern', $two, $one]] as [$where, $here, $there]) {
            foreach ($here as $segment) {
                array_filter($there, fn (array $other) => $ends($segment, $other) < $tolerance) === [] && $differences[] = "$where: ".$said($segment);
            }
        }

        return $differences;
    }

    /**
     * @param list<Segment> $segments
     * @param callable(int): bool $counts
     * @return list<Segment>
     */
    private static function counted(array $segments, callable $counts): array
    {
        usort($segments, fn (array $a, array $b) => hypot($b[1][0] - $b[0][0], $b[1][1] - $b[0][1]) <=> hypot($a[1][0] - $a[0][0], $a[1][1] - $a[0][1]));
        $lines = [];
        foreach ($segments as $segment) {
            if (hypot($segment[1][0] - $segment[0][0], $segment[1][1] - $segment[0][1]) < self::NEAR_MM) {
                continue;
            }
            $its = null;
            foreach ($lines as $i => $line) {
                if (self::isOn($line[0], $segment)) {
                    $its = $i;
                    break;
                }
            }
            $its === null ? $lines[] = [$segment] : $lines[$its][] = $segment;
        }

        return array_merge([], ...array_map(fn (array $line) => self::along($line, $counts), $lines));
    }

    /**
     * @param non-empty-list<Segment> $line segments on one line
     * @param callable(int): bool $counts
     * @return list<Segment>
     */
    private static function along(array $line, callable $counts): array
    {
        [$o, $end] = $line[0];
        $length = hypot($end[0] - $o[0], $end[1] - $o[1]);
        $way = [($end[0] - $o[0]) / $length, ($end[1] - $o[1]) / $length];
        $at = fn (array $p): float => ($p[0] - $o[0]) * $way[0] + ($p[1] - $o[1]) * $way[1];
        $intervals = array_map(fn (array $segment) => [min($at($segment[0]), $at($segment[1])), max($at($segment[0]), $at($segment[1]))], $line);
        $stops = array_merge(...$intervals);
        sort($stops);
        $kept = [];
        foreach ($stops as $i => $from) {
            $to = $stops[$i + 1] ?? $from;
            if ($to - $from < self::NEAR_MM) {
                continue;
            }
            $middle = ($from + $to) / 2;
            if ($counts(count(array_filter($intervals, fn (array $interval) => $interval[0] < $middle && $middle < $interval[1])))) {
                $last = array_key_last($kept);
                $last !== null && $from - $kept[$last][1] < self::NEAR_MM ? $kept[$last][1] = $to : $kept[] = [$from, $to];
            }
        }

        return array_map(fn (array $part) => array_map(fn (float $t) => [$o[0] + $t * $way[0], $o[1] + $t * $way[1]], $part), $kept);
    }

    /**
     * @param Segment $line
     * @param Segment $segment
     */
    private static function isOn(array $line, array $segment): bool
    {
        [$a, $b] = $line;
        $d = [$b[0] - $a[0], $b[1] - $a[1]];
        $length = hypot(...$d);
        foreach ($segment as $p) {
            if (abs(($p[0] - $a[0]) * $d[1] - ($p[1] - $a[1]) * $d[0]) / $length > self::NEAR_MM) {
                return false;
            }
        }

        return true;
    }
}
