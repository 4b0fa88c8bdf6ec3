<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Geometry\Point;

/** A line of a drawing, curves already in short straight pieces; millimetres. A closed one does not repeat its first point. */
final readonly class Stroke
{
    /** Ends nearer than this meet, mm. */
    private const MEET_MM = 0.05;

    /** @param list<Point> $points */
    public function __construct(public array $points, public bool $isClosed)
    {
    }

    /**
     * Open strokes whose ends meet made one; one that comes back to its own beginning is closed.
     *
     * @param list<self> $strokes
     * @return list<self>
     */
    public static function joined(array $strokes): array
    {
        $closed = array_values(array_filter($strokes, fn (self $stroke) => $stroke->isClosed));
        $ends = [];
        $open = [];
        foreach ($strokes as $stroke) {
            if (! $stroke->isClosed && count($stroke->points) > 1) {
                $open[] = $stroke->points;
            }
        }
        foreach ($open as $i => $points) {
            foreach ([$points[0], $points[count($points) - 1]] as $end) {
                $ends[self::cell($end)][] = $i;
            }
        }
        $isUsed = [];
        foreach ($open as $i => $points) {
            if (isset($isUsed[$i])) {
                continue;
            }
            $isUsed[$i] = true;
            while (($next = self::next($points[count($points) - 1], $ends, $open, $isUsed)) !== null) {
                $isUsed[$next[0]] = true;
                array_push($points, ...array_slice($next[1], 1));
            }
            $meets = count($points) > 3 && self::meet($points[0], $points[count($points) - 1]);
            $closed[] = new self($meets ? array_slice($points, 0, -1) : $points, $meets);
        }

        return $closed;
    }

    /**
     * @param array<string, list<int>> $ends strokes by where they end; those that are used go
     * @param list<non-empty-list<Point>> $open
     * @param array<int, true> $isUsed
     * @return array{int, non-empty-list<Point>}|null the stroke that goes on from there, the right way round
     */
    private static function next(Point $from, array &$ends, array $open, array $isUsed): ?array
    {
        foreach (self::cellsAround($from) as $cell) {
            if (! isset($ends[$cell])) {
                continue;
            }
            $there = &$ends[$cell];
            for ($place = 0; $place < count($there);) {
                $i = $there[$place];
                if (isset($isUsed[$i])) {
                    // Looked at once more, not again and again: the last takes its place.
                    $last = (int) array_pop($there);
                    if ($place < count($there)) {
                        $there[$place] = $last;
                    }

                    continue;
                }
                if (self::meet($open[$i][0], $from)) {
                    return [$i, $open[$i]];
                }
                if (self::meet($open[$i][count($open[$i]) - 1], $from)) {
                    return [$i, array_reverse($open[$i])];
                }
                $place++;
            }
            unset($there);
        }

        return null;
    }

    private static function meet(Point $a, Point $b): bool
    {
        return $a->minus($b)->length() <= self::MEET_MM;
    }

    private static function cell(Point $p): string
    {
        return floor($p->x / self::MEET_MM).' '.floor($p->y / self::MEET_MM);
    }

    /** @return iterable<string> its own first */
    private static function cellsAround(Point $p): iterable
    {
        foreach ([0, -1, 1] as $dx) {
            foreach ([0, -1, 1] as $dy) {
                yield self::cell(new Point($p->x + $dx * self::MEET_MM, $p->y + $dy * self::MEET_MM));
            }
        }
    }
}
