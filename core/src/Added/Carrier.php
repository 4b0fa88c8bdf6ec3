<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Spec\Addition;

/**
 * What something is laid on: a panel of a piece, or another layer.
 *
 * Its own frame has its width along the panel's first side, the origin where the sheet's is: only turned against it.
 */
final readonly class Carrier
{
    /**
     * @param string $panel the panel at the bottom of it all, as `lid/base`
     * @param Polygon $outline on the sheet of the piece
     * @param float $radians how far its frame is turned against that sheet
     * @param int $copies of the piece there are
     * @param ?string $twin the face that is this one's mirror image
     */
    public function __construct(
        public string $piece, public string $face, public string $panel, public Polygon $outline, public float $radians, public int $copies = 1, public ?string $twin = null,
    ) {
    }

    public static function face(string $piece, Pattern $pattern, int $face, int $copies): self
    {
        $outline = $pattern->polygon($face);
        $along = self::firstSide($outline->points);
        [$name, $twin] = [(string) $pattern->faces[$face]->name, $pattern->faces[$face]->twin];

        return new self($piece, $name, "$piece/$name", $outline, atan2($along->y, $along->x), $copies, $twin === null ? null : $pattern->faces[$twin]->name);
    }

    /** @return list<Point> its outline in its own frame */
    public function own(): array
    {
        return array_map($this->toOwn(...), $this->outline->points);
    }

    public function toOwn(Point $p): Point
    {
        [$cos, $sin] = [cos($this->radians), sin($this->radians)];

        return new Point($p->x * $cos + $p->y * $sin, $p->y * $cos - $p->x * $sin);
    }

    public function toSheet(Point $p): Point
    {
        [$cos, $sin] = [cos($this->radians), sin($this->radians)];

        return new Point($p->x * $cos - $p->y * $sin, $p->x * $sin + $p->y * $cos);
    }

    /** Where the middle of something that is put on it is to lie, in its own frame. */
    public function middle(Addition $addition): Point
    {
        [$left, $right, $low, $high] = Rings::bounds($this->own());
        [$x, $y] = $addition->at ?? [null, null];

        return $x === null || $y === null
            ? new Point(($left + $right) / 2, ($low + $high) / 2)
            : new Point($left + $x->toMillimetres(), $low + $y->toMillimetres());
    }

    /**
     * Along the sheet, but along its longest side where the panel is a rectangle that lies slanted on the sheet.
     *
     * @param list<Point> $points
     */
    private static function firstSide(array $points): Point
    {
        $sides = [];
        foreach ($points as $i => $point) {
            $sides[] = $points[($i + 1) % count($points)]->minus($point);
        }
        $longest = null;
        foreach ($sides as $i => $side) {
            $next = $sides[($i + 1) % count($sides)];
            $isSquareCorner = abs($side->dot($next)) < Tolerance::SAME_POINT_MM * $side->length();
            $isSlanted = abs($side->x) > Tolerance::SAME_POINT_MM && abs($side->y) > Tolerance::SAME_POINT_MM;
            foreach ($isSquareCorner && $isSlanted ? [$side, $next] : [] as $one) {
                $longest = $longest === null || $one->length() > $longest->length() + Tolerance::SAME_POINT_MM ? $one : $longest;
            }
        }
        if ($longest === null) {
            return new Point(1, 0);
        }

        // Never more than a quarter round: what is up on the sheet stays up.
        return $longest->times(($longest->x < 0 ? -1 : 1) / $longest->length());
    }
}
