<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

/** What holds of most of what goes with a make: it needs no panel, lies on none, and carries nothing. */
trait PlainRole
{
    public function needsPlace(): bool
    {
        return false;
    }

    public function isLayer(): bool
    {
        return false;
    }

    public function carries(): bool
    {
        return false;
    }
}
