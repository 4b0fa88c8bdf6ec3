<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Geometry\Point;

/**
 * Where a slanted cut runs that is set on the trimmer's rail without a mark, on the flat sheet.
 *
 * The point on the rail is a place that can be seen on the sheet: the end of a score, or a corner that was cut before. The
 * sheet's corner lies beside the rail, as far away as the measure says.
 */
final readonly class RailLine
{
    public function __construct(public Point $onRail, public Point $end, public Point $corner)
    {
    }

    /** How far the sheet is turned clockwise, so that the cut lies along an upright rail and the corner on its left; degrees, above -180 up to 180. */
    public function turnDegrees(): float
    {
        $along = $this->end->minus($this->onRail);
        $turn = atan2(-$along->x, $along->y);
        $out = $this->corner->minus($this->onRail);
        $isRight = $out->x * cos($turn) + $out->y * sin($turn) > 0;
        $degrees = rad2deg($turn) + ($isRight ? 180.0 : 0.0);

        return $degrees > 180.0 ? $degrees - 360.0 : $degrees;
    }
}
