<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Geometry\Point;

/** One stroke of a pen, a blade or a scoring tip on a flat sheet; millimetres, x right, y up. */
final readonly class ToolPath
{
    /** @param non-empty-list<Point> $points a closed path does not repeat its first point */
    public function __construct(public Layer $layer, public array $points, public bool $isClosed)
    {
    }

    /** Millimetres. */
    public function length(): float
    {
        $length = 0.0;
        $last = $this->isClosed ? $this->points[count($this->points) - 1] : $this->points[0];
        foreach ($this->points as $point) {
            $length += $point->minus($last)->length();
            $last = $point;
        }

        return $length;
    }
}
