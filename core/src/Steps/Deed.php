<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

/** What a step does: docs/steps.md. */
enum Deed: string
{
    case Cut = 'cut';
    case Punch = 'punch';
    case Score = 'score';
    case Mark = 'mark';
    /** A cut that takes nothing away by itself. */
    case Slit = 'slit';
    /** Something comes off. */
    case CutAway = 'cut-away';
    case Round = 'round';
    case Hole = 'hole';
    case Fold = 'fold';
    case TryFit = 'try';
    case Glue = 'glue';
    case Put = 'put';
    case Fill = 'fill';
    case Close = 'close';
}
