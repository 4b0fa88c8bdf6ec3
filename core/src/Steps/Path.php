<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

/** Where scissors go without being lifted: from a corner on, each part a corner it goes straight to or an arc. */
final readonly class Path
{
    /** @param non-empty-list<Spot|Arc> $to */
    public function __construct(public Spot $from, public array $to)
    {
    }
}
