<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Label;

use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** A piece with a text on it. */
final class Label implements Role
{
    use PlainRole;

    private const MOST = 500;

    private const LONGEST_TEXT = 200;

    public function id(): string
    {
        return 'label';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel),
            Row::of('text', Kind::Text, self::LONGEST_TEXT),
            Row::length('width')->emptied()->usually(fn (Circumstances $in) => $in->of(2, 1, 50)),
            Row::length('height')->emptied()->usually(fn (Circumstances $in) => $in->of(1, 2, 12)),
            Row::count('count', 1, self::MOST),
            Row::length('radius')->emptied(),
            Row::of('paper', Kind::PaperId),
            Row::of('side', Kind::Side),
        ];
    }

    public function isLayer(): bool
    {
        return true;
    }
}
