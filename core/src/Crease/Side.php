<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

/** A side of the paper: inside is the one a pattern is drawn on. */
enum Side: string
{
    case Inside = 'inside';
    case Outside = 'outside';
}
