<?php

declare(strict_types=1);

namespace App\Cutting;

use App\Models\Entry;
use Gimbo\Core\Library\Kind;

/** The machines that jobs can go to: the maker's own, and the stand-in that ships with Gimbo. */
final class Cutters
{
    public const STAND_IN = 'stand-in';

    /** @return array<string, Machine> by id, the maker's own first */
    public static function all(): array
    {
        $machines = [];
        foreach (Entry::query()->where('kind', Kind::Cutters->value)->orderBy('entry->name')->get() as $entry) {
            /** @var array{name: string, host: string, port: int, answers?: string, width: string, height: string} $kept */
            $kept = $entry->entry;
            $machines[$entry->id] = Machine::of($kept);
        }
        /** @var array{name: string, host: string, port: int, answers?: string, width: string, height: string} $standIn */
        $standIn = config('gimbo.stand_in');

        return $machines + [self::STAND_IN => Machine::of($standIn)];
    }
}
