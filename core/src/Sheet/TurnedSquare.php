<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use LogicException;

/**
 * A square sheet with a rectangular face on its corner: the diagonal family.
 *
 * Frame: the sheet's bottom left corner is the origin, millimetres, x right, y up. `along` runs from the centre
 * towards the bottom right corner, `across` towards the top right one, so that the face stands upright when the sheet
 * is turned an eighth anticlockwise. The left flap ends in the sheet's top left corner, the right flap in the bottom right one,
 * the bottom flap in the bottom left one, the top flap in the top right one. At each of the face's corners a V goes out to the
 * edge, so that each flap starts square to its fold. The face may lie a little off the sheet's centre, where its halves are not
 * alike; places are counted from the middle of the face.
 *
 * Lengths here are measured along a diagonal. Formulas: docs/formulas.md, "Square on its corner".
 */
final readonly class TurnedSquare
{
    /**
     * @param float $side of the square
     * @param float $width of the face between its folds
     * @param float $height the same
     * @param array<string, float> $depths of the gussets beside it by flap, if there are any
     * @param float $offAlong how far the middle of the face lies from the sheet's, towards the right flap
     * @param float $offAcross towards the top flap
     */
    public function __construct(
        public float $side, public float $width, public float $height, private array $depths = [],
        public float $offAlong = 0.0, public float $offAcross = 0.0,
    ) {
        min($width, $height) > 0 && $this->inset() > 0 || throw NothingLeft::of('face or its seam');
    }

    public function diagonal(): float
    {
        return $this->side * M_SQRT2;
    }

    /** How deep the gusset between the face and a flap is; 0 where there is none. */
    public function depth(string $flap): float
    {
        return $this->depths[$flap] ?? 0.0;
    }

    /** How far a flap's tip, in the sheet's corner, reaches from its fold. */
    public function reach(string $flap): float
    {
        $toFold = match ($flap) {
            Flap::LEFT => $this->width / 2 - $this->offAlong,
            Flap::RIGHT => $this->width / 2 + $this->offAlong,
            Flap::BOTTOM => $this->height / 2 - $this->offAcross,
            Flap::TOP => $this->height / 2 + $this->offAcross,
            default => throw new LogicException("$flap is no flap."),
        };

        return $this->diagonal() / 2 - $toFold - $this->depth($flap);
    }

    /** How far the face's corners lie inside the sheet's edge, square to that edge, at the corner where it is least; with a gusset, the middle of the two that it makes of each. */
    public function inset(): float
    {
        $least = INF;
        foreach ([Flap::LEFT, Flap::RIGHT] as $side) {
            foreach ([Flap::BOTTOM, Flap::TOP] as $end) {
                // From the fold on to the corner both ways, less the half of the diagonal that both share.
                $beyond = $this->reach($side) + $this->reach($end) + ($this->depth($side) + $this->depth($end)) / 2 - $this->diagonal() / 2;
                $least = min($least, $beyond / M_SQRT2);
            }
        }

        return $least;
    }

    public function point(float $along, float $across): Point
    {
        $half = $this->side / 2;
        [$along, $across] = [$along + $this->offAlong, $across + $this->offAcross];

        return new Point($half + ($across + $along) / M_SQRT2, $half + ($across - $along) / M_SQRT2);
    }

    /** A rectangle centred on the face, its width along the diagonal. */
    public function centred(float $width, float $height): Polygon
    {
        return $this->polygon([[-$width / 2, -$height / 2], [$width / 2, -$height / 2], [$width / 2, $height / 2], [-$width / 2, $height / 2]]);
    }

    /** @param list<array{float, float}> $places along and across from the middle of the face */
    public function polygon(array $places): Polygon
    {
        return Polygon::of(array_map(fn (array $place) => $this->point($place[0], $place[1]), $places));
    }
}
