<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Paper\Rectangle;

/**
 * Where a finished piece belongs among the others: turned about its own width direction, then shifted, in millimetres.
 *
 * The frame is that of the design's first piece lying on its standing face: x and y as on that piece's sheet, z up.
 */
final readonly class Place
{
    /** Paper lying on paper is drawn this far apart at least, or nobody could tell which is above. */
    private const LEAST_LIFT_MM = 0.5;

    /** @param float $turnDegrees about the x axis: 180 lies wrong side up, 90 stands on its lower edge */
    public function __construct(public float $turnDegrees, public Vector $shift)
    {
    }

    /** How far paper that lies on paper is drawn from it, mm. */
    public static function lift(Paper $paper): float
    {
        return max($paper->caliper->toMillimetres(), self::LEAST_LIFT_MM);
    }

    /** Where it lies on its own sheet: the first piece of all. */
    public static function asItLies(float $x = 0.0, float $y = 0.0, float $z = 0.0): self
    {
        return new self(0.0, new Vector($x, $y, $z));
    }

    /** Wrong side up, its own middle over the other's, at a height. */
    public static function turnedOver(Rectangle $sheet, Rectangle $over, float $z): self
    {
        return new self(180.0, new Vector(
            ($over->width->toMillimetres() - $sheet->width->toMillimetres()) / 2,
            ($over->height->toMillimetres() + $sheet->height->toMillimetres()) / 2, $z,
        ));
    }

    /** Where a point of the finished piece comes to lie. */
    public function of(Vector $v): Vector
    {
        [$cos, $sin] = match ($this->turnDegrees) {
            90.0 => [0.0, 1.0], 180.0 => [-1.0, 0.0], default => [cos(deg2rad($this->turnDegrees)), sin(deg2rad($this->turnDegrees))],
        };

        return (new Vector($v->x, $v->y * $cos - $v->z * $sin, $v->y * $sin + $v->z * $cos))->plus($this->shift);
    }
}
