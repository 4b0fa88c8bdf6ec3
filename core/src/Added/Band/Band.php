<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Band;

use Gimbo\Core\Added\Edges;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** Paper once round the finished thing. */
final class Band implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'band';
    }

    public function rows(): array
    {
        return [
            Row::length('width')->emptied()->usually(fn () => Length::inches(3, 2)),
            Row::length('overlap')->emptied()->usually(fn () => Length::inches(3, 4)),
            Row::choice('edge', Edges::ALL),
            Row::of('paper', Kind::PaperId),
        ];
    }
}
