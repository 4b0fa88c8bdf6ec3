<?php

declare(strict_types=1);

namespace Gimbo\Core\Fit;

/** A direction of what is held. */
enum Dimension: string
{
    case Width = 'width';
    case Height = 'height';
    case Depth = 'depth';
}
