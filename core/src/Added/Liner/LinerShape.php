<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Liner;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Inset;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Flap;

/**
 * A layer inside an envelope's front and top flap, through the gusset between them where there is one; folded where they are. Common
 * practice, no source.
 */
final class LinerShape
{
    /** More than a corner comes out inside its score (a straight envelope's: 0.5 mm), and less than any edge is long. */
    private const LEDGE_MM = 1.0;

    /** Null where there is no such flap, or nothing is left inside the border. */
    public static function of(Pattern $pattern, Length $border): ?Lining
    {
        $faces = array_flip(array_map(fn ($face) => (string) $face->name, $pattern->faces));
        if (! isset($faces[Flap::FRONT], $faces[Flap::TOP])) {
            return null;
        }
        $names = array_values(array_filter([Flap::FRONT, Flap::gusset(Flap::TOP), Flap::TOP], fn (string $name) => isset($faces[$name])));
        $lined = $pattern->polygon($faces[Flap::TOP])->points;
        foreach (array_slice(array_reverse($names), 1) as $next) {
            $lined = self::together($lined, $pattern->polygon($faces[$next])->points);
        }
        $inset = Inset::of(Polygon::of($lined), $border->toMillimetres());

        return count($inset) === 1 ? Lining::of($inset[0], $names, $pattern) : null;
    }

    /**
     * Two rings that share one side, as one.
     *
     * @param non-empty-list<Point> $one
     * @param non-empty-list<Point> $other
     * @return non-empty-list<Point>
     */
    private static function together(array $one, array $other): array
    {
        $isShared = fn (Point $p): bool => array_filter($other, $p->isAt(...)) !== [];
        $ends = array_values(array_filter($one, $isShared));
        $isEnd = fn (Point $p): bool => array_filter($ends, $p->isAt(...)) !== [];

        // The hair by which a corner comes out inside the score is no ledge to go round.
        $isLedge = fn (Point $p): bool => array_filter($ends, fn (Point $end) => $end->minus($p)->length() < self::LEDGE_MM) !== [];

        return [...self::startingAt($one, $isEnd), ...array_filter(array_slice(self::startingAt($other, $isEnd), 1, -1), fn (Point $p) => ! $isLedge($p))];
    }

    /**
     * A ring turned so that it runs from one end of the shared side, the long way round, to the other.
     *
     * @param non-empty-list<Point> $points
     * @param callable(Point): bool $isEnd
     * @return non-empty-list<Point>
     */
    private static function startingAt(array $points, callable $isEnd): array
    {
        $n = count($points);
        for ($i = 0; $i < $n; $i++) {
            if ($isEnd($points[$i]) && $isEnd($points[($i + $n - 1) % $n])) {
                return [$points[$i], ...array_slice($points, $i + 1), ...array_slice($points, 0, $i)];
            }
        }

        return $points;
    }
}
