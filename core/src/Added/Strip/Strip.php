<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Strip;

use Gimbo\Core\Added\Edges;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** A narrow layer right across a panel, or along it. */
final class Strip implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'strip';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel)->required(),
            Row::length('width')->emptied()->usually(fn (Circumstances $in) => $in->of(1, 2, 12)),
            Row::choice('way', ['across', 'upright']),
            Row::of('at', Kind::Middle),
            Row::border('border')->usually(fn () => Length::zero()),
            Row::choice('edge', Edges::ALL),
            Row::of('paper', Kind::PaperId),
            Row::of('side', Kind::Side),
        ];
    }

    public function needsPlace(): bool
    {
        return true;
    }

    public function isLayer(): bool
    {
        return true;
    }
}
