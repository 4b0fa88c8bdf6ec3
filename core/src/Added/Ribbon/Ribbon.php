<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Ribbon;

use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Row;

/** A ribbon round the finished thing, or behind a mat. */
final class Ribbon implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'ribbon';
    }

    public function rows(): array
    {
        return [
            Row::length('width')->emptied()->usually(fn (Circumstances $in) => $in->of(3, 8, 10)),
            Row::choice('way', ['once', 'both', 'behind']),
            Row::length('bow')->emptied()->usually(fn (Circumstances $in) => $in->choices['way'] === 'behind' ? null : $in->of(18, 1, 450)),
        ];
    }
}
