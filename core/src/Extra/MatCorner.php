<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Measure\Length;

/** What comes off one corner of a mat's rectangle: a slanted cut from mark to mark, or a square beside a tab. */
final readonly class MatCorner
{
    /** The corner's distance from a slanted cut: its reading on the trimmer's rail. Null where it comes off square. */
    public ?Length $rail;

    /**
     * @param Length $along from the corner along the width
     * @param Length $up from the corner up the height
     */
    public function __construct(public string $corner, public Length $along, public Length $up, public bool $isSquare)
    {
        [$a, $b] = [$along->toMillimetres(), $up->toMillimetres()];
        $this->rail = $isSquare ? null : Length::nearestTo($a * $b / hypot($a, $b));
    }
}
