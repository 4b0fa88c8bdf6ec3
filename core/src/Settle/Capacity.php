<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

/** How many items of a kind stand in each of the pockets, and in all of them. */
final readonly class Capacity
{
    private function __construct(public CapacityKind $of, public int $each, public int $inAll)
    {
    }

    public static function of(CapacityKind $of, int $each, int $pockets): self
    {
        return new self($of, $each, $each * $pockets);
    }
}
