<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;

/**
 * An XML text looked over once before it is parsed, in time that grows with its length alone: how many elements it has, and
 * how many attributes each of them. XML parsers compare each attribute of an element with all others of it.
 */
final class SvgText
{
    /** Drawing programs write some thirty. */
    private const MOST_ATTRIBUTES = 200;

    /** What may hold anything, by how it begins and ends. */
    private const VERBATIM = ['<!--' => '-->', '<![CDATA[' => ']]>', '<?' => '?>'];

    /** @throws InvalidDocument where there is more than an outline has, or a tag never ends */
    public static function keepWithin(string $file): void
    {
        [$at, $count] = [0, 0];
        while (($at = strpos($file, '<', $at)) !== false) {
            foreach (self::VERBATIM as $begin => $end) {
                if (substr_compare($file, $begin, $at, strlen($begin)) === 0) {
                    $at = strpos($file, $end, $at + strlen($begin));
                    $at !== false || throw InvalidDocument::at('/file', Reason::of('outline.svg'));

                    continue 2;
                }
            }
            OutlineFile::keepWithin(++$count, 2 * OutlineFile::MOST_POINTS);
            $at = self::tagEnd($file, $at);
        }
    }

    private static function tagEnd(string $file, int $at): int
    {
        for ($values = 0; ; $values++) {
            OutlineFile::keepWithin($values, self::MOST_ATTRIBUTES);
            $at += strcspn($file, '"\'>', $at);
            $sign = $file[$at] ?? throw InvalidDocument::at('/file', Reason::of('outline.svg'));
            if ($sign === '>') {
                return $at;
            }
            $end = strpos($file, $sign, $at + 1);
            $at = $end !== false ? $end + 1 : throw InvalidDocument::at('/file', Reason::of('outline.svg'));
        }
    }
}
