<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

/** A straight piece between two points, in millimetres. */
final readonly class Segment
{
    public function __construct(public Point $from, public Point $to)
    {
    }

    public function length(): float
    {
        return $this->to->minus($this->from)->length();
    }

    /** The distance from a point to the nearest point of the segment. */
    public function distanceTo(Point $point): float
    {
        $along = $this->to->minus($this->from);
        $share = max(0.0, min(1.0, $point->minus($this->from)->dot($along) / max($along->dot($along), PHP_FLOAT_MIN)));

        return $point->minus($this->from->plus($along->times($share)))->length();
    }

    /** Whether the point lies on the segment and is neither of its ends. */
    public function containsStrictly(Point $point): bool
    {
        return $this->distanceTo($point) < Tolerance::SAME_POINT_MM
            && ! $point->isAt($this->from) && ! $point->isAt($this->to);
    }
}
