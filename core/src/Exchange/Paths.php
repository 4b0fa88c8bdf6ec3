<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;

/**
 * The lines of a pattern as few long strokes, in the order in which a machine must do them.
 *
 * Scores come first, then what is cut inside, then the outline, the smallest loop first: a sheet that is cut out already
 * would move under the scoring tip. Within a layer each stroke begins as near as can be to where the last one ended.
 */
final class Paths
{
    /** Edges whose directions differ by less than this sine are one straight score. */
    private const STRAIGHT = 1e-6;

    /** @return list<ToolPath> */
    public static function of(Pattern $pattern): array
    {
        $byLayer = [];
        foreach ($pattern->edges as $edge) {
            $layer = Layer::of($edge->assignment);
            $layer === null || $byLayer[$layer->value][] = [$edge->from, $edge->to];
        }
        $paths = [];
        $at = new Point(0, 0);
        foreach (Layer::cases() as $layer) {
            $strokes = array_map(fn (array $chain) => self::path($pattern, $layer, $chain), self::chains($pattern, $byLayer[$layer->value] ?? [], $layer !== Layer::CutOutline));
            foreach ($layer === Layer::CutOutline ? self::smallestFirst($strokes) : self::nearestFirst($strokes, $at) as $path) {
                $paths[] = $path;
                $at = $path->isClosed ? $path->points[0] : $path->points[count($path->points) - 1];
            }
        }

        return $paths;
    }

    /**
     * @param list<array{int, int}> $edges
     * @param bool $isStraight whether a stroke goes on only where it goes straight on
     * @return list<non-empty-list<int>> vertices one after another
     */
    private static function chains(Pattern $pattern, array $edges, bool $isStraight): array
    {
        $chains = [];
        while ($edges !== []) {
            $chain = array_shift($edges);
            do {
                $hasGrown = false;
                foreach ($edges as $i => $edge) {
                    $grown = self::joined($pattern, $chain, $edge, $isStraight);
                    if ($grown !== null) {
                        $chain = $grown;
                        unset($edges[$i]);
                        $hasGrown = true;
                        break;
                    }
                }
                $edges = array_values($edges);
            } while ($hasGrown && $chain[0] !== $chain[count($chain) - 1]);
            $chains[] = $chain;
        }

        return $chains;
    }

    /**
     * @param non-empty-list<int> $chain
     * @param array{int, int} $edge
     * @return non-empty-list<int>|null
     */
    private static function joined(Pattern $pattern, array $chain, array $edge, bool $isStraight): ?array
    {
        foreach ([$chain, array_reverse($chain)] as $way) {
            foreach ([$edge, array_reverse($edge)] as [$from, $to]) {
                $last = $way[count($way) - 1];
                if ($from === $last && (! $isStraight || self::isStraightOn($pattern, $way[count($way) - 2] ?? $from, $from, $to))) {
                    return [...$way, $to];
                }
            }
        }

        return null;
    }

    private static function isStraightOn(Pattern $pattern, int $before, int $at, int $next): bool
    {
        $a = $pattern->vertices[$at]->minus($pattern->vertices[$before]);
        $b = $pattern->vertices[$next]->minus($pattern->vertices[$at]);

        return abs($a->x * $b->y - $a->y * $b->x) <= self::STRAIGHT * $a->length() * $b->length() && $a->dot($b) > 0;
    }

    /** @param non-empty-list<int> $chain */
    private static function path(Pattern $pattern, Layer $layer, array $chain): ToolPath
    {
        $isClosed = count($chain) > 2 && $chain[0] === $chain[count($chain) - 1];
        $points = array_map(fn (int $v) => $pattern->vertices[$v], $isClosed ? array_slice($chain, 0, -1) : $chain);
        // Only where it turns: a vertex that another face put in the middle of a line is no corner of it.
        $corners = array_values(array_filter($points, fn (Point $p, int $i) => self::isCorner($points, $i, $isClosed), ARRAY_FILTER_USE_BOTH));

        return new ToolPath($layer, $corners === [] ? [$points[0]] : $corners, $isClosed);
    }

    /** @param list<Point> $points */
    private static function isCorner(array $points, int $i, bool $isClosed): bool
    {
        $n = count($points);
        if (! $isClosed && ($i === 0 || $i === $n - 1)) {
            return true;
        }
        [$a, $b] = [$points[$i]->minus($points[($i + $n - 1) % $n]), $points[($i + 1) % $n]->minus($points[$i])];

        return abs($a->x * $b->y - $a->y * $b->x) > self::STRAIGHT * $a->length() * $b->length() || $a->dot($b) < 0;
    }

    /**
     * @param list<ToolPath> $paths
     * @return list<ToolPath>
     */
    private static function smallestFirst(array $paths): array
    {
        $area = fn (ToolPath $path): float => count($path->points) > 2 ? abs(Polygon::of($path->points)->area()) : 0.0;
        usort($paths, fn (ToolPath $a, ToolPath $b) => $area($a) <=> $area($b));

        return $paths;
    }

    /**
     * @param list<ToolPath> $paths
     * @return list<ToolPath>
     */
    private static function nearestFirst(array $paths, Point $at): array
    {
        $ordered = [];
        while ($paths !== []) {
            $nearest = null;
            foreach ($paths as $i => $path) {
                foreach ([false, true] as $isTurned) {
                    $away = $path->points[$isTurned ? count($path->points) - 1 : 0]->minus($at)->length();
                    if ($nearest === null || $away < $nearest[0]) {
                        $nearest = [$away, $i, $isTurned];
                    }
                }
            }
            [, $i, $isTurned] = $nearest;
            $path = $paths[$i];
            $path = $isTurned ? new ToolPath($path->layer, array_reverse($path->points), $path->isClosed) : $path;
            $ordered[] = $path;
            $at = $path->points[count($path->points) - 1];
            array_splice($paths, $i, 1);
        }

        return $ordered;
    }
}
