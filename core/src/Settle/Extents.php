<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Measure\Length;

/** Width, height and depth, in the directions of what is held. */
final readonly class Extents
{
    public function __construct(public Length $width, public Length $height, public Length $depth)
    {
    }
}
