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
     * Both faces must be convex and, folded, lie in one plane (paper has no thickness here).
     */
    public static function onFace(Folding $folding, int $face, int $other): ?Polygon
    {
        $flat = array_map(fn (int $v) => $folding->pattern->vertices[$v], $folding->pattern->faces[$face]->vertices);
        $folded = $folding->faces[$face];
        // A rigid fold keeps the face's own frame: its first corner, its first side, and square to that.
        $x = $folded[1]->minus($folded[0])->unit();
        $y = self::normal($folded)->cross($x);
        $flatX = $flat[1]->minus($flat[0])->times(1 / $flat[1]->minus($flat[0])->length());
        $flatY = new Point(-$flatX->y, $flatX->x);
        $onSheet = function (Vector $v) use ($folded, $flat, $x, $y, $flatX, $flatY): Point {
            $from = $v->minus($folded[0]);

            return $flat[0]->plus($flatX->times($x->dot($from)))->plus($flatY->times($y->dot($from)));
        };

        return Polygon::of($flat)->intersection(Polygon::of(array_map($onSheet, $folding->faces[$other])));
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
