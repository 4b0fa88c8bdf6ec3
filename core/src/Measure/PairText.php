<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

/** Two lengths as a maker writes them, width first: `2 × 1/2 in`. A unit behind the second counts for both. */
final class PairText
{
    public const BETWEEN = ' × ';

    /**
     * @return ?array{string, string} both with their unit; null where these are not two
     */
    public static function split(string $typed): ?array
    {
        $two = preg_split('/\s*[x×*]\s*/u', trim($typed)) ?: [];
        if (count($two) !== 2 || $two[0] === '' || $two[1] === '') {
            return null;
        }
        $unit = LengthParser::unitIn($two[1]);

        return [$unit !== null && LengthParser::unitIn($two[0]) === null ? "$two[0] $unit->value" : $two[0], $two[1]];
    }
}
