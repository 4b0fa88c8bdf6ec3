<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

/** In which order what goes with a make is worked out: a window goes through what lies on its panel, whichever was asked for first. */
enum Stage: int
{
    /** What lies on a panel. */
    case Layers = 0;
    /** What is cut through it. */
    case Openings = 1;
    /** What keeps clear of those, or goes round the whole. */
    case Around = 2;
}
