<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

/** Everything that can be asked for. */
interface Offers
{
    public function find(string $id): ?Offer;

    /** @return list<string> */
    public function ids(): array;
}
