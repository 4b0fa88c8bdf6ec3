<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

/** What a hand does at a measure. */
enum MeasureKind: string
{
    case Cut = 'cut';
    case Score = 'score';
    case Punch = 'punch';
    case Mark = 'mark';
    case Trim = 'trim';
}
