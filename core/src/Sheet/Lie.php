<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

/** How the sheet lies on the tool it is scored or punched on. */
enum Lie: string
{
    case Square = 'square';
    case CornerUp = 'corner-up';
}
