<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

/**
 * Text in a cell of a CSV file that spreadsheets take as text: what begins like a formula, or would
 * read back as one, gets an apostrophe before it (as the OWASP page on CSV injection has it; from memory).
 */
final class CsvCell
{
    private const LIKE_A_FORMULA = "'*[=+\\-@\\t\\r]";

    public static function write(string $text): string
    {
        return preg_match('/^'.self::LIKE_A_FORMULA.'/', $text) === 1 ? "'$text" : $text;
    }

    public static function read(string $cell): string
    {
        return preg_match("/^'".self::LIKE_A_FORMULA.'/', $cell) === 1 ? substr($cell, 1) : $cell;
    }
}
