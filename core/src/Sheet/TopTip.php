<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

/** What becomes of the point of a closing flap. */
enum TopTip: string
{
    case Kept = 'kept';
    case Cut = 'cut';
    /** Folded back in, so that the flap ends straight and double. */
    case TurnedIn = 'turned-in';
}
