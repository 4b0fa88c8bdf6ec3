<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Geometry\Inset;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Sheet\Flap;

/** What goes with a finished piece. Widths, overlaps and insets are common practice, no source. */
final class Extras
{
    /** A band once round it: 2 · (width + thickness) and 3/4 in of overlap, 1 1/2 in wide. */
    public static function bellyBand(Extents $closed, Step $cut): Rectangle
    {
        $round = $closed->width->plus($closed->depth)->times(2)->plus(Length::inches(3, 4));

        return new Rectangle($cut->up($round), $cut->up(Length::inches(3, 2)));
    }

    /**
     * A liner for an envelope's front and top flap, 1/4 in inside its edges; on the flat sheet, null where there is no such flap.
     * It is folded where the flap is.
     */
    public static function liner(Piece $piece): ?Polygon
    {
        $faces = array_flip(array_map(fn ($face) => (string) $face->name, $piece->pattern->faces));
        if (! isset($faces[Flap::FRONT], $faces[Flap::TOP])) {
            return null;
        }
        $fold = $piece->pattern->edges[$piece->pattern->edgesNamed(Flap::TOP)[0] ?? $piece->pattern->edgesNamed('y2')[0] ?? 0];
        $ends = [$piece->pattern->vertices[$fold->from], $piece->pattern->vertices[$fold->to]];
        $isEnd = fn (Point $p): bool => $p->isAt($ends[0]) || $p->isAt($ends[1]);
        $flap = self::startingAt($piece->pattern->polygon($faces[Flap::TOP])->points, $isEnd);
        $front = self::startingAt($piece->pattern->polygon($faces[Flap::FRONT])->points, $isEnd);
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
