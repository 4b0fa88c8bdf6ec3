<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Spec\Item;

/** Where the outline of an odd-shaped thing lies on the flat sheet: in the middle of the room its box has there. */
final class HeldOutline
{
    /**
     * @param ?Polygon $room where its box lies
     * @return ?Polygon null where it is as its box, or lies on no face
     */
    public static function on(?Polygon $room, Item $item): ?Polygon
    {
        if ($room === null || count($room->points) !== 4 || $item->outline === []) {
            return null;
        }
        [$corner, $next, , $other] = $room->points;
        [$along, $up] = [$next->minus($corner), $other->minus($corner)];
        $middle = $corner->plus($along->times(0.5))->plus($up->times(0.5));
        [$wide, $high] = [$item->width->toMillimetres(), $item->height->toMillimetres()];
        [$right, $top] = [$along->times(1 / $along->length()), $up->times(1 / $up->length())];
        if (abs($along->length() - $wide) > abs($along->length() - $high)) {
            // Its height lies along: a quarter turn.
            [$right, $top] = [$top, $right->times(-1)];
        }

        return Polygon::of(array_map(fn (Point $p) => $middle->plus($right->times($p->x - $wide / 2))->plus($top->times($p->y - $high / 2)), $item->outline));
    }
}
