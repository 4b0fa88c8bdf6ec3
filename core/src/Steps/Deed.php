<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

/** What a step does, in the order of the work. */
enum Deed: string
{
    case Cut = 'cut';
    case Score = 'score';
    case Punch = 'punch';
    case Trim = 'trim';
    case Notch = 'notch';
    case CutOut = 'cut-out';
    case Taper = 'taper';
    case Slit = 'slit';
    case Mark = 'mark';
    /** From mark to mark, without a reading. */
    case ScoreSlants = 'score-slants';
    case Slant = 'slant';
    case RoundCorners = 'round-corners';
    case TryFit = 'try-fit';
    case Fold = 'fold';
    case Glue = 'glue';
    case Fill = 'fill';
    case Close = 'close';
}
