<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Make\Shared\RoundedCorner;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\HeldShut;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Tool\Punches;
use Gimbo\Core\Tool\Repeats;

/** What punches do to a piece that is added, and whether they can: rounded corners, punched edges, holes for a string. */
final class Worked
{
    /**
     * The radius its corners get, and what stands against it.
     *
     * @param Polygon $outline before its corners are rounded
     * @param ?AddedPiece $under what it lies on, where that is a layer
     * @param Point $at its lower left corner on that
     * @return array{float, list<Fit>}
     */
    public static function radius(Addition $addition, string $id, Polygon $outline, ?AddedPiece $under, Point $at): array
    {
        $asked = $addition->lengths['radius'] ?? null;
        [$left, $right, $low, $high] = Rings::bounds($outline->points);
        $fits = [];
        $radius = $asked?->toMillimetres() ?? 0.0;
        if ($asked !== null) {
            $most = self::isRectangle($outline) ? Length::nearestTo(min($right - $left, $high - $low) / 2) : Length::zero();
            $fits[] = Fit::plain('corners-have-room', $asked, $most, $asked, Length::zero())->about($id);
            $radius = $asked->isMoreThan($most) ? 0.0 : $radius;
        }
        if ($under !== null && $under->radius > 0.0) {
            // Its corner against the arc it lies inside of.
            $in = fn (float $border): float => max(0.0, $under->radius - $border - $radius);
            $far = hypot($in($at->x), $in($at->y));
            $need = Length::nearestTo($far > 0.0 ? $far + $radius : 0.0);
            $fits[] = Fit::plain('corner-inside-rounded', $need, Length::nearestTo($under->radius), $need, Length::zero())->about($id);
        }

        return [$radius, $fits];
    }

    public static function rounded(Polygon $outline, float $radius): Polygon
    {
        if ($radius <= 0.0) {
            return $outline;
        }
        [$left, $right, $low, $high] = Rings::bounds($outline->points);
        $corners = [[$left, $low, 0, 1, 1, 0], [$right, $low, -1, 0, 0, 1], [$right, $high, 0, -1, -1, 0], [$left, $high, 1, 0, 0, -1]];
        $points = array_merge(...array_map(fn (array $c): array => RoundedCorner::vertices(new Point($c[0], $c[1]), new Point($c[2], $c[3]), new Point($c[4], $c[5]), $radius), $corners));

        // A side that its two corners take whole is none.
        return Polygon::of(array_values(array_filter($points, fn (Point $p, int $i) => ! $p->isAt($points[($i + 1) % count($points)]), ARRAY_FILTER_USE_BOTH)));
    }

    /** @return list<Fit> whether one repeat at the least lies on a punched edge */
    public static function edge(Addition $addition, string $id, GridSheet $grid, Punches $punches): array
    {
        if (($addition->choices['edge'] ?? 'none') === 'none') {
            return [];
        }
        if ($punches->repeat === null) {
            return [Fit::plain('edge-punch-is-there', Length::mm(1), Length::zero(), Length::mm(1), Length::zero())->about($id)];
        }

        return [Fit::plain('edge-has-repeats', $punches->repeat, $grid->columns->total, $punches->repeat, Length::zero())->about($id)];
    }

    /** How much of a punched edge is left plain at either end, and how many repeats lie between; null where none does. */
    public static function repeats(AddedPiece $piece, Punches $punches): ?Repeats
    {
        if (($piece->addition->choices['edge'] ?? 'none') === 'none' || $punches->repeat === null || ! $piece->kind->hasEdges || ! self::isRectangle($piece->outline)) {
            return null;
        }
        $repeats = Repeats::along($piece->figures->sheet->width, $punches->repeat);

        return $repeats->count === 0 ? null : $repeats;
    }

    /** @return list<Fit> whether a punch reaches the holes for a string's discs */
    public static function holes(HeldShut $closure, PieceFigures $piece, Punches $punches): array
    {
        if ($punches->holeReach === null) {
            return [];
        }
        [$width, $height] = [$piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()];
        $far = 0.0;
        foreach (array_filter([$closure->onFlap, $closure->onBody]) as $hole) {
            $far = max($far, self::toEdge($hole, $width, $height));
        }

        return [Fit::plain('hole-within-reach', Length::nearestTo(round($far, 6)), $punches->holeReach, Length::nearestTo(round($far, 6)), Length::zero())];
    }

    public static function toEdge(Point $at, float $width, float $height): float
    {
        return min($at->x, $at->y, $width - $at->x, $height - $at->y);
    }

    private static function isRectangle(Polygon $outline): bool
    {
        [$left, $right, $low, $high] = Rings::bounds($outline->points);
        $isCorner = fn (Point $p): bool => min(abs($p->x - $left), abs($p->x - $right)) < Tolerance::SAME_POINT_MM && min(abs($p->y - $low), abs($p->y - $high)) < Tolerance::SAME_POINT_MM;

        return count($outline->points) === 4 && array_filter($outline->points, fn (Point $p) => ! $isCorner($p)) === [];
    }
}
