<?php

declare(strict_types=1);

namespace App\Models;

/** When something is written, as it is kept: ISO 8601, UTC, to the second. */
final class Moment
{
    public static function now(): string
    {
        return gmdate('Y-m-d\TH:i:s\Z');
    }
}
