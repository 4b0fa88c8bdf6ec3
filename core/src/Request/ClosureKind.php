<?php

declare(strict_types=1);

namespace Gimbo\Core\Request;

/** How a top flap is held shut. A belly band, the other way to close something, needs no place on it. */
enum ClosureKind: string
{
    case None = 'none';
    /** Half a hook-and-loop dot on the flap, the other half where the flap comes to lie. */
    case Dot = 'dot';
    /** A disc on the flap and one on the body below its end, floss of 18 in wound between them. */
    case String = 'string';
    /** A slit the flap's end goes into. */
    case Tuck = 'tuck';

    /** The fit that says whether there is paper for it. */
    public const FIT = 'closure-holds';
}
