<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

/** The shape of an opening. */
enum OpeningKind: string
{
    case Rectangle = 'rect';
    case Circle = 'circle';
    case Oval = 'oval';
    /** An outline that was taken in. */
    case Outline = 'ring';
}
