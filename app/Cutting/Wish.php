<?php

declare(strict_types=1);

namespace App\Cutting;

/** What is asked of a job under way. */
enum Wish: string
{
    case GoOn = 'go-on';
    /** Rest with the tool up, as soon as the line being cut is done. */
    case Pause = 'pause';
    /** No more of it: tool up, tool off. */
    case Stop = 'stop';
    /** The same, because Gimbo itself ends. */
    case End = 'end';
}
