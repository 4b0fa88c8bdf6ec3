<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

/** What is left of a rectangle when parts of it come off: its edges. */
final class Remains
{
    private const NEAR_MM = 0.004;

    /**
     * The edges of the rectangle and of the parts that came off, but where two of them lie on one another: there is paper on no side.
     *
     * @param float $width of the rectangle, its lower left corner the origin
     * @param list<list<Point>> $away rings that lie in it and do not overlap
     * @return list<Segment>
     */
    public static function edges(float $width, float $height, array $away): array
    {
        $sides = [];
        foreach ([[new Point(0, 0), new Point($width, 0), new Point($width, $height), new Point(0, $height)], ...$away] as $ring) {
            foreach ($ring as $i => $from) {
                $side = new Segment($from, $ring[$i + 1] ?? $ring[0]);
                $side->length() > self::NEAR_MM && $sides[] = $side;
            }
        }
        usort($sides, fn (Segment $a, Segment $b) => $b->length() <=> $a->length());
        /** @var list<non-empty-list<Segment>> $lines */
        $lines = [];
        foreach ($sides as $side) {
            foreach ($lines as $i => $line) {
                if (self::isOn($line[0], $side->from) && self::isOn($line[0], $side->to)) {
                    $lines[$i][] = $side;

                    continue 2;
                }
            }
            $lines[] = [$side];
        }

        return array_merge([], ...array_map(self::odd(...), $lines));
    }

    /**
     * Of segments on one line, what an odd number of them covers.
     *
     * @param non-empty-list<Segment> $line the longest first
     * @return list<Segment>
     */
    private static function odd(array $line): array
    {
        if (count($line) === 1) {
            return $line;
        }
        [$from, $length] = [$line[0]->from, $line[0]->length()];
        $way = $line[0]->to->minus($from)->times(1 / $length);
        $spans = array_map(function (Segment $side) use ($from, $way): array {
            $ends = [$side->from->minus($from)->dot($way), $side->to->minus($from)->dot($way)];
            sort($ends);

            return $ends;
        }, $line);
        $stops = array_merge(...$spans);
        sort($stops);
        $edges = [];
        foreach ($stops as $i => $begin) {
            $end = $stops[$i + 1] ?? $begin;
            $middle = ($begin + $end) / 2;
            if ($end - $begin > self::NEAR_MM && count(array_filter($spans, fn (array $span) => $span[0] < $middle && $middle < $span[1])) % 2 === 1) {
                $edges[] = new Segment($from->plus($way->times($begin)), $from->plus($way->times($end)));
            }
        }

        return $edges;
    }

    private static function isOn(Segment $line, Point $point): bool
    {
        $way = $line->to->minus($line->from);

        return abs($way->cross($point->minus($line->from))) / $way->length() < self::NEAR_MM;
    }
}
