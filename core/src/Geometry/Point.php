<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

/** A point or vector in the plane of the sheet, in millimetres; x to the right, y up (docs/adr/0002). */
final readonly class Point
{
    public function __construct(public float $x, public float $y)
    {
    }

    public function plus(self $other): self
    {
        return new self($this->x + $other->x, $this->y + $other->y);
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y);
    }

    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor);
    }

    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y;
    }

    /** Positive where $other turns anticlockwise from this. */
    public function cross(self $other): float
    {
        return $this->x * $other->y - $this->y * $other->x;
    }

    public function length(): float
    {
        return hypot($this->x, $this->y);
    }

    public function isAt(self $other): bool
    {
        return $this->minus($other)->length() < Tolerance::SAME_POINT_MM;
    }
}
