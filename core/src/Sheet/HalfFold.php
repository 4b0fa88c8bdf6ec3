<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

/** How the fold across a face from the first one is read on a scoring board, corner up. */
enum HalfFold
{
    /** As far from its own corner as the first: one setting. */
    case Alike;
    /** Beyond the middle groove from the same corner, the sheet unmoved. */
    case ReadOn;
    /** From its own corner, the sheet turned by a half. */
    case Turned;
}
