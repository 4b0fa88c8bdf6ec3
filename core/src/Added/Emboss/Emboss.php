<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Emboss;

use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** A pattern pressed into a panel or a mat. */
final class Emboss implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'emboss';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel)->required(),
            Row::length('width')->emptied()->usually(fn (Circumstances $in) => $in->punches->plate->width ?? Length::inches(17, 4)),
            Row::length('height')->emptied()->usually(fn (Circumstances $in) => $in->punches->plate->height ?? Length::inches(11, 2)),
            Row::of('side', Kind::Side),
        ];
    }

    public function needsPlace(): bool
    {
        return true;
    }
}
