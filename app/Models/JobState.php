<?php

declare(strict_types=1);

namespace App\Models;

/** Where a cutting job is. */
enum JobState: string
{
    case Waiting = 'waiting';
    case Sending = 'sending';
    case Stopped = 'stopped';
    case Done = 'done';
    case Failed = 'failed';
}
