<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Vector;

/** Where two faces of a folded piece lie on one another. */
final class Overlap
{
    /**
     * The part of a face that another one covers, in the coordinates of the flat sheet; null where they only touch or lie apart.
     * The other face must be convex, and both, folded, lie in one plane (paper has no thickness here).
     */
    public static function onFace(Folding $folding, int $face, int $other): ?Polygon
    {
        $onSheet = array_map(fn (Vector $corner): Point => self::onSheet($folding, $face, $corner), $folding->faces[$other]);

        return $folding->pattern->polygon($face)->intersection(Polygon::of($onSheet));
    }

    /** Where on the flat sheet the point of a face is that lies, folded, at a place in space, or straight under it. */
    public static function onSheet(Folding $folding, int $face, Vector $place): Point
    {
        [$flat, $flatX, $flatY, $folded, $x, $y] = $folding->frame($face);
        [$dx, $dy, $dz] = [$place->x - $folded->x, $place->y - $folded->y, $place->z - $folded->z];
        [$along, $up] = [$x->x * $dx + $x->y * $dy + $x->z * $dz, $y->x * $dx + $y->y * $dy + $y->z * $dz];

        return new Point($flat->x + $flatX->x * $along + $flatY->x * $up, $flat->y + $flatX->y * $along + $flatY->y * $up);
    }

    /** Where a point of the flat sheet comes to lie when it is carried along with a face, on it or beyond its edge. */
    public static function inSpace(Folding $folding, int $face, Point $point): Vector
    {
        [$flat, $flatX, $flatY, $folded, $x, $y] = $folding->frame($face);
        $from = $point->minus($flat);

        return $folded->plus($x->times($flatX->dot($from)))->plus($y->times($flatY->dot($from)));
    }

    /**
     * The unit normal of a flat ring of corners, towards whoever sees it run anticlockwise.
     *
     * @param list<Vector> $ring
     */
    public static function normal(array $ring): Vector
    {
        // Newell's method: the sum of the projected areas, exact for any flat ring.
        [$x, $y, $z] = [0.0, 0.0, 0.0];
        $last = $ring[count($ring) - 1] ?? new Vector(0, 0, 0);
        foreach ($ring as $corner) {
            $x += ($last->y - $corner->y) * ($last->z + $corner->z);
            $y += ($last->z - $corner->z) * ($last->x + $corner->x);
            $z += ($last->x - $corner->x) * ($last->y + $corner->y);
            $last = $corner;
        }
        $sum = new Vector($x, $y, $z);

        return $sum->unit();
    }
}
