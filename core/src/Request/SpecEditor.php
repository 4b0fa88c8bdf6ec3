<?php

declare(strict_types=1);

namespace Gimbo\Core\Request;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\System;

/** Changes single fields of a spec, named by JSON pointer. Only what SpecReader knows may be named. */
final class SpecEditor
{
    /**
     * @param array<string, mixed> $spec
     * @param array<string, mixed> $edits value by pointer; null takes the field out
     * @return array<string, mixed>
     */
    public static function with(array $spec, array $edits): array
    {
        foreach ($edits as $at => $value) {
            $spec = self::set($spec, array_slice(explode('/', $at), 1), $value);
        }

        return $spec;
    }

    /**
     * @param array<mixed> $here
     * @param list<string> $path
     * @return array<string, mixed>
     */
    private static function set(array $here, array $path, mixed $value): array
    {
        $key = $path[0];
        if (count($path) > 1) {
            $inner = $here[$key] ?? [];
            $value = self::set(is_array($inner) ? $inner : [], array_slice($path, 1), $value);
            $value = $value === [] ? null : $value;
        }
        $here[$key] = $value;
        /** @var array<string, mixed> */
        return array_filter($here, fn (mixed $kept) => $kept !== null);
    }

    /**
     * What a person typed into a length field, as the spec keeps it: with its unit, the number in its plainest form.
     *
     * @throws InvalidDocument at the pointer
     */
    public static function typed(string $at, string $text, System $system): string
    {
        try {
            $written = LengthParser::read($text, $system->unit());
        } catch (InvalidLength $error) {
            throw InvalidDocument::at($at, $error->reason);
        }
        // 1/7 in is no sum of sixty-fourths: it stays as it was typed.
        return $written->canonical() ?? trim($text).($written->unitIsWritten ? '' : ' '.$written->unit->value);
    }
}
