<?php

declare(strict_types=1);

namespace Gimbo\Core\Error;

/** A reason and the place it belongs to, as a JSON pointer (RFC 6901) into the document that was read. */
final readonly class Problem
{
    public function __construct(public string $at, public Reason $reason)
    {
    }
}
