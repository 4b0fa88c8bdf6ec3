<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

/** What a tool can be set to, as it is written: one step, or both of its scales with a comma between them: `1/16 in, 1 mm`. */
final class StepText
{
    private const BETWEEN = ', ';

    /** @return list<string> what was written for each scale */
    public static function split(string $typed): array
    {
        return array_values(array_filter(array_map(trim(...), preg_split('/[,;]| or /u', $typed) ?: []), fn (string $scale) => $scale !== ''));
    }

    /** @param list<string> $scales */
    public static function join(array $scales): string
    {
        return implode(self::BETWEEN, $scales);
    }
}
