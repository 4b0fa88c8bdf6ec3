<?php

declare(strict_types=1);

namespace App\Shelf;

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

    /** The drawer, or what a plan is of, is not any more what was seen. */
    public static function byStock(): self
    {
        return new self('plan.stock-changed');
    }

    /** What there was of a paper when a sheet was cut is not what there is: something was cut or counted since. */
    public static function byCut(): self
    {
        return new self('plan.cut-since');
    }

    /** A change of several designs at once, one of which was changed again. */
    public static function inAnother(): self
    {
        return new self('edit.shared');
    }
}
