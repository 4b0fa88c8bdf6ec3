<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Liner;

use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** A lining of an envelope's front and top flap. */
final class Liner implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'liner';
    }

    public function rows(): array
    {
        return [
            Row::border('border')->ordinary(0.5, 60)->usually(fn (Circumstances $in) => $in->of(1, 4, 6)),
            Row::of('paper', Kind::PaperId),
        ];
    }
}
