<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

/** What became of a piece of which one figure was set wrong. */
enum Verdict: string
{
    /** Everything holds as it was asked for. */
    case Good = 'good';
    /** There is less to spare than was asked for, but what must go in goes in. */
    case Tighter = 'tighter';
    /** Something no longer holds. */
    case Bad = 'bad';
    /** A panel, or all of the piece, would have nothing left. */
    case NothingLeft = 'nothing-left';
}
