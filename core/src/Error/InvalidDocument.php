<?php

declare(strict_types=1);

namespace Gimbo\Core\Error;

use RuntimeException;

/** A document (a spec, a design, a FOLD file) was refused whole; every problem found stands in it. */
final class InvalidDocument extends RuntimeException implements CoreError
{
    /** @param non-empty-list<Problem> $problems */
    private function __construct(public readonly array $problems)
    {
        parent::__construct($problems[0]->at.': '.$problems[0]->reason->code);
    }

    /** @param non-empty-list<Problem> $problems */
    public static function because(array $problems): self
    {
        return new self($problems);
    }

    /** The same, of something that stands inside another document. */
    public function under(string $pointer): self
    {
        return new self(array_map(fn (Problem $problem) => new Problem($pointer.$problem->at, $problem->reason), $this->problems));
    }

    public static function at(string $pointer, Reason $reason): self
    {
        return new self([new Problem($pointer, $reason)]);
    }
}
