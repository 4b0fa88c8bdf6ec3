<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Window;

use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** An opening in a panel, with what lies behind it and round it. */
final class Window implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'window';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel)->required(),
            Row::of('shape', Kind::Shape),
            Row::of('at', Kind::Middle),
            Row::of('through', Kind::Ids),
            Row::of('backing', Kind::Part),
            self::margin('backing/margin'),
            Row::of('frame', Kind::Part),
            self::margin('frame/width'),
            Row::of('rim', Kind::Part),
            self::margin('rim/width'),
            Row::of('side', Kind::Side),
        ];
    }

    public function needsPlace(): bool
    {
        return true;
    }

    private static function margin(string $name): Row
    {
        return Row::length($name)->emptied()->usually(fn (Circumstances $in) => $in->of(1, 4, 6));
    }
}
