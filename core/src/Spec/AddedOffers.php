<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

/** Everything that can go with a make. */
interface AddedOffers
{
    public function find(string $id): ?AddedOffer;

    /** @return non-empty-list<string> in the order they are offered */
    public function ids(): array;
}
