<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Crease\Side;
use Gimbo\Core\Geometry\Point;

/**
 * Where one copy of a piece lies on another: its lower left corner on the other's flat sheet, and how far it is turned there.
 *
 * Both sheets are seen from the side that becomes the inside, so that a turn and a shift say all. What lies outside is seen through.
 */
final readonly class Placing
{
    /**
     * @param string $piece what it lies on
     * @param string $face of that
     * @param Point $at its lower left corner on that sheet, mm
     * @param float $radians how far it is turned anticlockwise
     * @param array<string, string> $faces of a piece that goes over several: what each of its own lies on
     * @param int $copy of what it lies on
     */
    public function __construct(public string $piece, public string $face, public Side $side, public Point $at, public float $radians, public array $faces = [], public int $copy = 1)
    {
    }

    /** A point of its sheet, on that of what it lies on. */
    public function there(Point $point): Point
    {
        [$cos, $sin] = [cos($this->radians), sin($this->radians)];

        return $this->at->plus(new Point($point->x * $cos - $point->y * $sin, $point->x * $sin + $point->y * $cos));
    }

    /** The other way round. */
    public function here(Point $point): Point
    {
        $from = $point->minus($this->at);
        [$cos, $sin] = [cos($this->radians), sin($this->radians)];

        return new Point($from->x * $cos + $from->y * $sin, $from->y * $cos - $from->x * $sin);
    }
}
