<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

/** One thing a maker changes in a request: a field set to what she typed or chose, or a length moved by whole steps. */
final readonly class Change
{
    private function __construct(public string $at, public mixed $to, public ?int $nudge)
    {
    }

    /** @param mixed $to null takes the field out, so that its default counts again */
    public static function set(string $at, mixed $to): self
    {
        return new self($at, $to, null);
    }

    public static function nudge(string $at, int $steps): self
    {
        return new self($at, null, $steps);
    }
}
