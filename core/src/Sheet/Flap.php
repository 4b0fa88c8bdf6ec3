<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

/** The faces of everything that closes around a front: what they are called in patterns, steps and on the screen. */
final class Flap
{
    public const FRONT = 'front';

    public const LEFT = 'left-flap';

    public const RIGHT = 'right-flap';

    public const BOTTOM = 'bottom-flap';

    public const TOP = 'top-flap';
}
