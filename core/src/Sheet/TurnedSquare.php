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
    /** @param float $side of the square; @param float $width and @param float $height of the face between its folds; @param float $depth of a gusset round it, mm */
    public function __construct(public float $side, public float $width, public float $height, public float $depth = 0.0)
    {
        min($width, $height) > 0 && $depth >= 0 && $this->inset() > 0 || throw NothingLeft::of('face or its seam');
    }

    public function diagonal(): float
    {
        return $this->side * M_SQRT2;
    }

    /** How far a side flap's tip reaches from its fold. */
    public function sideReach(): float
    {
        return ($this->diagonal() - $this->width) / 2 - $this->depth;
    }

    /** How far the tips of the top and bottom flaps reach from their folds. */
    public function longReach(): float
    {
        return ($this->diagonal() - $this->height) / 2 - $this->depth;
    }

    /** How far the face's corners lie inside the sheet's edge, square to that edge. */
    public function inset(): float
    {
        return ($this->diagonal() - $this->width - $this->height - 2 * $this->depth) / (2 * M_SQRT2);
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
        $builder = (new PatternBuilder)->face(Flap::FRONT, $this->centred($this->width, $this->height));
        foreach ($this->flaps($sideTrim, $longTrim, $longTrim) as $flap => $outline) {
            $builder->face($flap, $outline)->hinge(Flap::FRONT, $flap, 180);
        }

        return $builder
            ->glue(Flap::LEFT, Flap::BOTTOM)->glue(Flap::RIGHT, Flap::BOTTOM)
            ->layers(Flap::FRONT, Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP)
            ->build();
    }

    /** The same with the top corner left standing: it is one face with the front. */
    public function pouch(float $sideTrim, float $longTrim): Pattern
    {
        $flaps = $this->flaps($sideTrim, $longTrim, 0.0);
        [$w, $h] = [$this->width / 2, $this->height / 2];
        $shoulder = $this->longReach() - $w;
        $front = $this->polygon([[-$w, -$h], [$w, -$h], [$w, $h], [$w, $h + $shoulder], [0, $h + $this->longReach()], [-$w, $h + $shoulder], [-$w, $h]]);
        $builder = (new PatternBuilder)->face(Flap::FRONT, $front);
        foreach ([Flap::LEFT, Flap::RIGHT, Flap::BOTTOM] as $flap) {
            $builder->face($flap, $flaps[$flap])->hinge(Flap::FRONT, $flap, 180);
        }

        return $builder
            ->glue(Flap::LEFT, Flap::BOTTOM)->glue(Flap::RIGHT, Flap::BOTTOM)
            ->layers(Flap::FRONT, Flap::LEFT, Flap::RIGHT, Flap::BOTTOM)
            ->build();
    }

    /**
     * With a gusset all round: the front, four gussets, four flaps, and a tab in each of the lower corners. At the upper
     * corners, where it opens, the little squares between the notches are cut out.
     */
    public function deepEnvelope(float $sideTrim, float $longTrim): Pattern
    {
        [$w, $h, $d] = [$this->width / 2, $this->height / 2, $this->depth];
        $builder = (new PatternBuilder)
            ->face(Flap::FRONT, $this->centred($this->width, $this->height))
            ->face('left-gusset', $this->polygon([[-$w - $d, -$h], [-$w, -$h], [-$w, $h], [-$w - $d, $h]]))
            ->face('right-gusset', $this->polygon([[$w, -$h], [$w + $d, -$h], [$w + $d, $h], [$w, $h]]))
            ->face('bottom-gusset', $this->polygon([[-$w, -$h - $d], [$w, -$h - $d], [$w, -$h], [-$w, -$h]]))
            ->face('top-gusset', $this->polygon([[-$w, $h], [$w, $h], [$w, $h + $d], [-$w, $h + $d]]));
        foreach ($this->flaps($sideTrim, $longTrim, $longTrim) as $flap => $outline) {
            $gusset = str_replace('flap', 'gusset', $flap);
            $builder->face($flap, $outline)->hinge(Flap::FRONT, $gusset, 90)->hinge($gusset, $flap, 90);
        }
        foreach (['left' => -1, 'right' => 1] as $side => $out) {
            $builder->face("$side-tab", $this->tab($out))
                ->hinge("$side-gusset", "$side-tab", 90)->slit("$side-tab", 'bottom-gusset')->glue("$side-tab", 'bottom-gusset');
        }

        return $builder->glue(Flap::LEFT, Flap::BOTTOM)->glue(Flap::RIGHT, Flap::BOTTOM)->build();
    }

    /** The little square at a lower corner of the face, as far as it lies on the sheet. */
    private function tab(int $out): Polygon
    {
        [$w, $h, $d] = [$this->width / 2, $this->height / 2, $this->depth];
        $over = $w + $h + 2 * $d - $this->diagonal() / 2;
        $corner = $over <= 0 ? [[$out * ($w + $d), -$h - $d]] : [[$out * ($w + $d), -$h - $d + $over], [$out * ($w + $d - $over), -$h - $d]];

        return $this->polygon([[$out * $w, -$h], [$out * ($w + $d), -$h], ...$corner, [$out * $w, -$h - $d]]);
    }

    /** @return array<string, Polygon> the four flaps, beyond the gusset where there is one, by name */
    private function flaps(float $sideTrim, float $longTrim, float $topTrim): array
    {
        [$w, $h] = [$this->width / 2 + $this->depth, $this->height / 2 + $this->depth];
        $side = self::flap($this->height, $this->sideReach(), $sideTrim);
        $long = self::flap($this->width, $this->longReach(), $longTrim);
        $top = self::flap($this->width, $this->longReach(), $topTrim);

        return [
            Flap::LEFT => $this->polygon(array_map(fn (array $p) => [-$w - $p[1], $p[0]], $side)),
            Flap::RIGHT => $this->polygon(array_map(fn (array $p) => [$w + $p[1], $p[0]], $side)),
            Flap::BOTTOM => $this->polygon(array_map(fn (array $p) => [$p[0], -$h - $p[1]], $long)),
            Flap::TOP => $this->polygon(array_map(fn (array $p) => [$p[0], $h + $p[1]], $top)),
        ];
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
