<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

/** What it is that comes off. */
enum Waste: string
{
    case Corner = 'corner';
    case Wedge = 'wedge';
    case Taper = 'taper';
    case Notch = 'notch';
    case Tip = 'tip';
    case Round = 'round';
    case Hole = 'hole';
    case Opening = 'opening';
}
