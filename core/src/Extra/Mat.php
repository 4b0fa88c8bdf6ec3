<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/** A decorative layer for one panel: the rectangle to cut, the corners to take off it, and where it lies on the sheet. */
final readonly class Mat
{
    /**
     * @param string $face the panel it lies on
     * @param Rectangle $rectangle to cut first, a whole number of the trimmer's steps; its width lies along the panel's first side
     * @param list<array{corner: string, along: Length, up: Length, rail: Length}> $corners to cut off straight: from the corner along the width, from the corner up the height, and the corner's distance from the cut (the reading on the rail)
     * @param ?string $mirrors a panel whose mat is this one turned over
     */
    public function __construct(
        public string $face,
        public Polygon $outline,
        public Rectangle $rectangle,
        public array $corners,
        public ?string $mirrors,
    ) {
    }
}
