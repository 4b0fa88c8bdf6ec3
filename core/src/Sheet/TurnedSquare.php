<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
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
    /** @param float $side of the square; @param float $width and @param float $height of the face between its folds, mm */
    public function __construct(public float $side, public float $width, public float $height)
    {
    }

    public function diagonal(): float
    {
        return $this->side * M_SQRT2;
    }

    /** How far a side flap's tip reaches from its fold. */
    public function sideReach(): float
    {
        return ($this->diagonal() - $this->width) / 2;
    }

    /** How far the tips of the top and bottom flaps reach from their folds. */
    public function longReach(): float
    {
        return ($this->diagonal() - $this->height) / 2;
    }

    /** How far the face's corners lie inside the sheet's edge, square to that edge. */
    public function inset(): float
    {
        return ($this->diagonal() - $this->width - $this->height) / (2 * M_SQRT2);
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

    /**
     * The whole sheet with all four flaps folded in, sides first, the top last.
     *
     * @param float $sideTrim how much comes off the tips of the side flaps, along the diagonal
     * @param float $longTrim the same for the top and bottom flaps
     */
    public function envelope(float $sideTrim, float $longTrim): Pattern
    {
        [$w, $h] = [$this->width / 2, $this->height / 2];
        $side = self::flap($this->height, $this->sideReach(), $sideTrim);
        $long = self::flap($this->width, $this->longReach(), $longTrim);
        $builder = (new PatternBuilder)
            ->face(Flap::FRONT, $this->centred($this->width, $this->height))
            ->face(Flap::LEFT, $this->polygon(array_map(fn (array $p) => [-$w - $p[1], $p[0]], $side)))
            ->face(Flap::RIGHT, $this->polygon(array_map(fn (array $p) => [$w + $p[1], $p[0]], $side)))
            ->face(Flap::BOTTOM, $this->polygon(array_map(fn (array $p) => [$p[0], -$h - $p[1]], $long)))
            ->face(Flap::TOP, $this->polygon(array_map(fn (array $p) => [$p[0], $h + $p[1]], $long)));
        foreach ([Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP] as $flap) {
            $builder->hinge(Flap::FRONT, $flap, 180);
        }

        return $builder
            ->glue(Flap::LEFT, Flap::BOTTOM)->glue(Flap::RIGHT, Flap::BOTTOM)
            ->layers(Flap::FRONT, Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP)
            ->build();
    }

    /**
     * A flap over a fold from -base/2 to base/2: up square to the fold, then at 45° to the tip, the tip cut off straight.
     *
     * @return list<array{float, float}> along the fold and out from it
     */
    private static function flap(float $base, float $reach, float $trim): array
    {
        $half = $base / 2;
        $end = $reach - $trim;
        $shoulder = $reach - $half;
        if ($end <= $shoulder) {
            return [[-$half, 0], [$half, 0], [$half, $end], [-$half, $end]];
        }
        $tip = $trim > 0 ? [[$trim, $end], [-$trim, $end]] : [[0.0, $reach]];

        return [[-$half, 0.0], [$half, 0.0], [$half, $shoulder], ...$tip, [-$half, $shoulder]];
    }

    /** @param list<array{float, float}> $places along and across from the centre */
    private function polygon(array $places): Polygon
    {
        return Polygon::of(array_map(fn (array $place) => $this->point($place[0], $place[1]), $places));
    }
}
