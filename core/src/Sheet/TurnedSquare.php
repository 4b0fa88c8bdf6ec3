<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;

/**
 * A square sheet with a rectangular face on its corner: the diagonal family.
 *
 * Frame: the sheet's bottom left corner is the origin, millimetres, x right, y up. `along` runs from the centre
 * towards the bottom right corner, `across` towards the top right one, so that the face stands upright when the sheet
 * is turned an eighth anticlockwise. The face is centred: the left flap ends in the sheet's top left corner, the right
 * flap in the bottom right one, the bottom flap in the bottom left one, the top flap in the top right one. At each of
 * the face's corners a V goes out to the edge, so that each flap starts square to its fold.
 *
 * Lengths here are measured along a diagonal. Formulas: docs/formulas.md, "Square on its corner".
 */
final readonly class TurnedSquare
{
    /**
     * @param float $side of the square
     * @param float $width of the face between its folds
     * @param float $height the same
     * @param float $sideDepth of the gussets left and right of it, if there are any
     * @param float $endDepth of those above and below
     */
    public function __construct(public float $side, public float $width, public float $height, public float $sideDepth = 0.0, public float $endDepth = 0.0)
    {
        min($width, $height) > 0 && $this->inset() > 0 || throw NothingLeft::of('face or its seam');
    }

    public function diagonal(): float
    {
        return $this->side * M_SQRT2;
    }

    /** How far a side flap's tip reaches from its fold. */
    public function sideReach(): float
    {
        return ($this->diagonal() - $this->width) / 2 - $this->sideDepth;
    }

    /** How far the tips of the top and bottom flaps reach from their folds. */
    public function longReach(): float
    {
        return ($this->diagonal() - $this->height) / 2 - $this->endDepth;
    }

    /** How far the face's corners lie inside the sheet's edge, square to that edge. */
    public function inset(): float
    {
        return ($this->diagonal() - $this->width - $this->height - ($this->sideDepth + $this->endDepth)) / (2 * M_SQRT2);
    }

    public function point(float $along, float $across): Point
    {
        $half = $this->side / 2;

        return new Point($half + ($across + $along) / M_SQRT2, $half + ($across - $along) / M_SQRT2);
    }

    /** A rectangle centred on the face, its width along the diagonal. */
    public function centred(float $width, float $height): Polygon
    {
        return $this->polygon([[-$width / 2, -$height / 2], [$width / 2, -$height / 2], [$width / 2, $height / 2], [-$width / 2, $height / 2]]);
    }

    /** @param list<array{float, float}> $places along and across from the centre */
    public function polygon(array $places): Polygon
    {
        return Polygon::of(array_map(fn (array $place) => $this->point($place[0], $place[1]), $places));
    }
}
