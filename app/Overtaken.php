<?php

declare(strict_types=1);

namespace App;

use RuntimeException;

/** The design was changed elsewhere since, in such a way that doing this would lose something: look first. */
final class Overtaken extends RuntimeException
{
    /** @param string $reason a code of the language file */
    private function __construct(public readonly string $reason)
    {
        parent::__construct($reason);
    }

    /** An edit of what was undone since: what could be done again would go. */
    public static function byUndo(): self
    {
        return new self('edit.overtaken');
    }

    /** A change of several designs at once, one of which was changed again. */
    public static function inAnother(): self
    {
        return new self('edit.shared');
    }
}
