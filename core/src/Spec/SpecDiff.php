<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

/** What is different between two states of a design document, field by field. */
final class SpecDiff
{
    /**
     * @param array<string, mixed> $before
     * @param array<string, mixed> $after
     * @return list<array{at: string, from: ?string, to: ?string}> by pointer as edits use them; null where the field was or is not there
     */
    public static function between(array $before, array $after): array
    {
        $flat = fn (array $document): array => self::flat(['name' => $document['name'] ?? null, 'notes' => $document['notes'] ?? null, 'by' => $document['by'] ?? null] + (is_array($document['spec'] ?? null) ? $document['spec'] : []), '');
        [$was, $is] = [$flat($before), $flat($after)];
        $changes = [];
        foreach (array_keys($was + $is) as $at) {
            if (($was[$at] ?? null) !== ($is[$at] ?? null)) {
                $changes[] = ['at' => $at, 'from' => $was[$at] ?? null, 'to' => $is[$at] ?? null];
            }
        }

        return $changes;
    }

    /**
     * @param array<mixed> $here
     * @return array<string, string>
     */
    private static function flat(array $here, string $at): array
    {
        $flat = [];
        foreach ($here as $key => $value) {
            if (is_array($value) && $value !== [] && array_is_list($value) && ! (is_array($value[0]) && ! array_is_list($value[0]))) {
                $flat["$at/$key"] = (string) count($value);
            } elseif (is_array($value)) {
                $flat += self::flat($value, "$at/$key");
            } elseif (is_scalar($value)) {
                $flat["$at/$key"] = (string) $value;
            }
        }

        return $flat;
    }
}
