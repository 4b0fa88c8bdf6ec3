<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Mat;

use Gimbo\Core\Added\Edges;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** A layer inside a panel's edges, or on another mat. */
final class Mat implements Role
{
    public function id(): string
    {
        return 'mat';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel)->required(),
            Row::border('border')->ordinary(0.5, 60)->usually(fn (Circumstances $in) => $in->of(1, 8, 3)),
            Row::length('radius')->emptied(),
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

    public function carries(): bool
    {
        return true;
    }
}
