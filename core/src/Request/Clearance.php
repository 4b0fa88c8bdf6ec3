<?php

declare(strict_types=1);

namespace Gimbo\Core\Request;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;

/** Total room beyond the contents in each direction, both sides together. */
final readonly class Clearance
{
    public function __construct(public Length $width, public Length $height, public Length $depth)
    {
    }

    /** No less room than this is offered in one direction: a hand and a step miss as much. Common practice, no source. */
    public static function least(System $system): Length
    {
        return $system === System::Imperial ? Length::inches(1, 32) : Length::mm(1, 2);
    }
}
