<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

/**
 * A rigid motion of space, as the nine numbers of its rotation (row by row) and the three of its shift in millimetres.
 * Never stretches, never mirrors.
 */
final readonly class Motion
{
    private function __construct(
        private float $xx, private float $xy, private float $xz,
        private float $yx, private float $yy, private float $yz,
        private float $zx, private float $zy, private float $zz,
        private float $x, private float $y, private float $z,
    ) {
    }

    public static function none(): self
    {
        return new self(1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0);
    }

    /**
     * A turn about the line from $from to $to lying on the flat sheet, anticlockwise seen from $to towards $from.
     * (Rodrigues' rotation formula, for an axis in the plane.)
     */
    public static function about(Point $from, Point $to, float $degrees): self
    {
        $along = $to->minus($from);
        $length = $along->length();
        [$u, $v] = [$along->x / $length, $along->y / $length];
        // Right angles and flat folds are exact, so that a closed box closes to the last bit.
        [$cos, $sin] = match ($degrees) {
            90.0 => [0.0, 1.0], -90.0 => [0.0, -1.0], 180.0, -180.0 => [-1.0, 0.0],
            default => [cos(deg2rad($degrees)), sin(deg2rad($degrees))],
        };
        $rest = 1 - $cos;
        [$xx, $xy, $yy] = [$cos + $u * $u * $rest, $u * $v * $rest, $cos + $v * $v * $rest];
        [$zx, $zy] = [-$v * $sin, $u * $sin];

        return new self(
            $xx, $xy, $v * $sin,
            $xy, $yy, -$u * $sin,
            $zx, $zy, $cos,
            $from->x - $xx * $from->x - $xy * $from->y,
            $from->y - $xy * $from->x - $yy * $from->y,
            -$zx * $from->x - $zy * $from->y,
        );
    }

    /** Where a point of the flat sheet goes. */
    public function of(Point $p): Vector
    {
        return new Vector(
            $this->xx * $p->x + $this->xy * $p->y + $this->x,
            $this->yx * $p->x + $this->yy * $p->y + $this->y,
            $this->zx * $p->x + $this->zy * $p->y + $this->z,
        );
    }

    /** This motion done after $first. */
    public function after(self $first): self
    {
        return new self(
            $this->xx * $first->xx + $this->xy * $first->yx + $this->xz * $first->zx,
            $this->xx * $first->xy + $this->xy * $first->yy + $this->xz * $first->zy,
            $this->xx * $first->xz + $this->xy * $first->yz + $this->xz * $first->zz,
            $this->yx * $first->xx + $this->yy * $first->yx + $this->yz * $first->zx,
            $this->yx * $first->xy + $this->yy * $first->yy + $this->yz * $first->zy,
            $this->yx * $first->xz + $this->yy * $first->yz + $this->yz * $first->zz,
            $this->zx * $first->xx + $this->zy * $first->yx + $this->zz * $first->zx,
            $this->zx * $first->xy + $this->zy * $first->yy + $this->zz * $first->zy,
            $this->zx * $first->xz + $this->zy * $first->yz + $this->zz * $first->zz,
            $this->xx * $first->x + $this->xy * $first->y + $this->xz * $first->z + $this->x,
            $this->yx * $first->x + $this->yy * $first->y + $this->yz * $first->z + $this->y,
            $this->zx * $first->x + $this->zy * $first->y + $this->zz * $first->z + $this->z,
        );
    }
}
