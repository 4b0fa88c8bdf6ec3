<?php

declare(strict_types=1);

namespace App\HandOn;

use Illuminate\Support\Str;

/** The name of a file that is handed on, from what a design is called: letters of every script stay. */
final class FileName
{
    /** In bytes: file systems take 255, and an ending and a number come after. */
    private const LONGEST = 160;

    public static function of(string $text, string $else = 'design'): string
    {
        $name = trim((string) preg_replace('/[^\p{L}\p{M}\p{N}]+/u', '-', mb_strtolower($text)), '-');

        return trim(mb_strcut($name, 0, self::LONGEST), '-') ?: $else;
    }

    /** For a header: the whole name (RFC 6266, RFC 8187), and a plain one for those that do not know it. */
    public static function disposition(string $name): string
    {
        $end = strrchr($name, '.') ?: '';
        $plain = Str::ascii($name) === $name ? $name : (Str::slug(substr($name, 0, -strlen($end) ?: null)) ?: 'design').$end;

        return 'attachment; filename="'.$plain.'"'.($plain === $name ? '' : "; filename*=utf-8''".rawurlencode($name));
    }
}
