<?php

declare(strict_types=1);

namespace Gimbo\Core\Request;

use Gimbo\Core\Measure\Length;

/** Total room beyond the contents in each direction, both sides together. */
final readonly class Clearance
{
    public function __construct(public Length $width, public Length $height, public Length $depth)
    {
    }
}
