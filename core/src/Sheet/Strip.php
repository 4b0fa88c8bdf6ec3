<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\MakeUp;

/** A strip of a sheet between two scores, or between a score and the edge. */
final readonly class Strip
{
    private function __construct(public MakeUp $need, public bool $isContained)
    {
    }

    /** It holds something, or must reach: rounded up. */
    public static function atLeast(MakeUp $need): self
    {
        return new self($need, false);
    }

    /** It goes inside something: rounded down, but to no less than one step. */
    public static function atMost(MakeUp $need): self
    {
        return new self($need, true);
    }
}
