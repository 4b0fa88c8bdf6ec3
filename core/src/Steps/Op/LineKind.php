<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

/** What is drawn along a line. */
enum LineKind: string
{
    case Score = 'score';
    case Cut = 'cut';
    case Mark = 'mark';
}
