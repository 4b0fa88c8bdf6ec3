<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Closure;

use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** What holds a top flap shut. */
final class Closure implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'closure';
    }

    public function rows(): array
    {
        return [
            Row::choice('by', ['dot', 'string', 'slit', 'catch']),
            Row::length('size')->emptied()->usually(self::across(...)),
            Row::of('paper', Kind::PaperId),
        ];
    }

    /** Round, in the size there is a punch for that is nearest to the usual one; a dot and a slit have none. */
    private static function across(Circumstances $in): ?Length
    {
        $usual = match ($in->choices['by']) {
            'string' => $in->of(1, 2, 13),
            'catch' => $in->of(1, 1, 25),
            default => null,
        };

        return $usual === null ? null : $in->punches->circle($usual) ?? $usual;
    }
}
