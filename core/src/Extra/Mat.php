<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Paper\Rectangle;

/** A decorative layer for one panel: the rectangle to cut, the corners to take off it, and where it lies on the sheet. */
final readonly class Mat
{
    /**
     * @param string $face the panel it lies on
     * @param Rectangle $rectangle to cut first, a whole number of the trimmer's steps; its width lies along the panel's first side
     * @param list<MatCorner> $corners what comes off the rectangle
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
