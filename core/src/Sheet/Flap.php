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

    private const GUSSETS = [self::LEFT => 'left-gusset', self::RIGHT => 'right-gusset', self::BOTTOM => 'bottom-gusset', self::TOP => 'top-gusset'];

    /** The gusset a flap hangs on, where it has one. */
    public static function gusset(string $flap): string
    {
        return self::GUSSETS[$flap] ?? throw new \LogicException("$flap is no flap.");
    }
}
