<?php

declare(strict_types=1);

namespace Gimbo\Core\Make;

use Gimbo\Core\Crease\FoldedBox;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Settle\Place;

/** What a piece becomes: its pattern, and where things lie on it. Made only when somebody looks. */
final readonly class Shape
{
    /**
     * @param ?Polygon $contents where the contents lie on the flat sheet
     * @param ?FoldedBox $box its size when it is folded, where that is a sum of its strips; else it is measured on the folded pattern
     * @param array<string, list<float>> $bends of creases that fold only together: the angle of each in degrees, at equal shares of the way from flat to folded
     * @param list<Place> $places where each copy belongs when all pieces are put together; empty where it is shown by itself
     * @param Point $width the direction on the sheet in which its width is measured
     */
    public function __construct(
        public Pattern $pattern,
        public ?Polygon $contents = null,
        public ?FoldedBox $box = null,
        public array $bends = [],
        public array $places = [],
        public Point $width = new Point(1, 0),
    ) {
    }

    public function withPattern(Pattern $pattern): self
    {
        // An opening changes nothing of its size.
        return new self($pattern, $this->contents, $this->box ?? FoldedBox::around(Folding::of($this->pattern), $this->width), $this->bends, $this->places, $this->width);
    }
}
