<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

/** A point or vector in space, in millimetres; z towards whoever looks down on the flat sheet. */
final readonly class Vector
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    public static function onSheet(Point $point): self
    {
        return new self($point->x, $point->y, 0.0);
    }

    public function plus(self $other): self
    {
        return new self($this->x + $other->x, $this->y + $other->y, $this->z + $other->z);
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y, $this->z - $other->z);
    }

    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor, $this->z * $factor);
    }

    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y + $this->z * $other->z;
    }

    public function cross(self $other): self
    {
        return new self(
            $this->y * $other->z - $this->z * $other->y,
            $this->z * $other->x - $this->x * $other->z,
            $this->x * $other->y - $this->y * $other->x,
        );
    }

    public function length(): float
    {
        return sqrt($this->dot($this));
    }

    /** This as a vector of length 1; the zero vector stays itself. */
    public function unit(): self
    {
        return $this->times(1 / max($this->length(), PHP_FLOAT_MIN));
    }
}
