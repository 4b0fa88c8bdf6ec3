<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Inset;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Flap;

/** A layer inside an envelope's front and top flap, 1/4 in inside its edges; folded where the flap is. Common practice, no source. */
final class Liner
{
    /** On the flat sheet; null where there is no such flap. */
    public static function of(Pattern $pattern): ?Polygon
    {
        $faces = array_flip(array_map(fn ($face) => (string) $face->name, $pattern->faces));
        if (! isset($faces[Flap::FRONT], $faces[Flap::TOP])) {
            return null;
        }
        $fold = $pattern->edges[$pattern->edgesNamed(Flap::TOP)[0] ?? $pattern->edgesNamed('y2')[0] ?? 0];
        $ends = [$pattern->vertices[$fold->from], $pattern->vertices[$fold->to]];
        $isEnd = fn (Point $p): bool => $p->isAt($ends[0]) || $p->isAt($ends[1]);
        $flap = self::startingAt($pattern->polygon($faces[Flap::TOP])->points, $isEnd);
        $front = self::startingAt($pattern->polygon($faces[Flap::FRONT])->points, $isEnd);
        $inset = Inset::of(Polygon::of([...$flap, ...array_slice($front, 1, -1)]), Length::inches(1, 4)->toMillimetres());

        return count($inset) === 1 ? $inset[0] : null;
    }

    /**
     * A ring turned so that it runs from one end of the shared fold, the long way round, to the other.
     *
     * @param non-empty-list<Point> $points
     * @param callable(Point): bool $isEnd
     * @return list<Point>
     */
    private static function startingAt(array $points, callable $isEnd): array
    {
        $n = count($points);
        for ($i = 0; $i < $n; $i++) {
            if ($isEnd($points[$i]) && $isEnd($points[($i + $n - 1) % $n])) {
                return [...array_slice($points, $i), ...array_slice($points, 0, $i)];
            }
        }

        return $points;
    }
}
