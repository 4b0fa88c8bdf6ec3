<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

use Gimbo\Core\Steps\Ring;

/** A part of the sheet that comes off. It lies on paper that is there, and overlaps nothing that came off before. */
final readonly class AwayOp implements Op
{
    public function __construct(public Waste $what, public Ring $ring)
    {
    }
}
