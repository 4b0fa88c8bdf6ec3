<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

/**
 * Reads a length as people write it.
 *
 *     length   := number [unit]
 *     number   := decimal | fraction | whole separator fraction
 *     decimal  := digits [("." | ",") digits] | "." digits
 *     fraction := digits ("/" | "⁄") digits | one of ¼ ½ ¾ ⅐ … ⅞
 *     separator:= spaces | "-"            (none needed before ¼ and its like)
 *     unit     := in, inch, ", ″, cm, mm and their longer spellings
 *
 * Values that are no whole number of ticks (1/7 in, 0.0001 in) come to the nearest tick, 1.4 nm away at most.
 * A comma before exactly three digits is refused: it may mean a thousand.
 */
final readonly class LengthParser
{
    public const LONGEST_TEXT = 40;

    /** What signs spell out; a fraction that is one sign may follow its whole number at once. */
    private const VULGAR = [
        '⁄' => '/', '∕' => '/',
        '¼' => ' 1/4', '½' => ' 1/2', '¾' => ' 3/4', '⅐' => ' 1/7', '⅑' => ' 1/9', '⅒' => ' 1/10', '⅓' => ' 1/3', '⅔' => ' 2/3',
        '⅕' => ' 1/5', '⅖' => ' 2/5', '⅗' => ' 3/5', '⅘' => ' 4/5', '⅙' => ' 1/6', '⅚' => ' 5/6',
        '⅛' => ' 1/8', '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8',
    ];

    private const NUMBER = '~^(?:(?<whole>\d+)(?:\s+|\s*-\s*))?(?<top>\d+)/(?<bottom>\d+)$|^(?<decimal>\d+(?:[.,]\d*)?|[.,]\d+)$~u';

    /** Two metres: nothing that is held, cut or set in this trade is longer. */
    public static function limit(): Length
    {
        return Length::mm(2000);
    }

    /**
     * @param ?Unit $bare the unit a number without one means; null where it is an error
     *
     * @throws InvalidLength
     */
    public static function parse(string $text, ?Unit $bare = null): Length
    {
        return self::read($text, $bare)->length;
    }

    /**
     * As parse(), and keeps the unit it was written in.
     *
     * @throws InvalidLength
     */
    public static function read(string $text, ?Unit $bare = null): WrittenLength
    {
        if (mb_strlen($text) > self::LONGEST_TEXT) {
            throw InvalidLength::tooLong(self::LONGEST_TEXT);
        }
        $plain = self::plain($text);
        if ($plain === '') {
            throw InvalidLength::empty();
        }
        if (preg_match('~^[-−]~u', $plain) === 1) {
            throw InvalidLength::negative($text);
        }
        if (preg_match('~^(?<number>[\d\s.,/-]*\d[.,]?|[.,]\d+)\s*(?<unit>[^\d\s.,/-][^\d]*)?$~u', $plain, $match) !== 1) {
            throw InvalidLength::unreadable($text);
        }
        $spelled = trim($match['unit'] ?? '');
        $unit = $spelled === '' ? $bare : Unit::spelled($spelled);
        if ($unit === null) {
            throw $spelled === '' ? InvalidLength::unitMissing($text) : InvalidLength::unitUnknown($spelled);
        }
        $length = self::number(trim($match['number']), $unit, $text);
        if ($length->isMoreThan(self::limit())) {
            throw InvalidLength::tooLarge(self::limit());
        }

        return new WrittenLength($length, $unit, $spelled !== '');
    }

    /** ASCII digits and slash, fractions spelled out, every space an ordinary one. */
    private static function plain(string $text): string
    {
        // Most is plain ASCII already.
        if (preg_match('/^[!-~]+(?: [!-~]+)*$/', $text) === 1) {
            return $text;
        }
        $text = preg_replace('/[\p{Z}\t\r\n]+/u', ' ', mb_scrub($text, 'UTF-8')) ?? '';

        return trim(strtr($text, self::VULGAR));
    }

    /** @throws InvalidLength */
    private static function number(string $number, Unit $unit, string $typed): Length
    {
        if (preg_match(self::NUMBER, $number, $part, PREG_UNMATCHED_AS_NULL) !== 1) {
            throw InvalidLength::unreadable($typed);
        }
        if ($part['decimal'] !== null) {
            return self::decimal($part['decimal'], $unit, $typed);
        }
        [$whole, $top, $bottom] = array_map(self::boundedInt(...), [$part['whole'] ?? '0', (string) $part['top'], (string) $part['bottom']]);
        if ($bottom === 0) {
            throw InvalidLength::zeroDenominator($typed);
        }

        return self::quotient($whole * $bottom + $top, $bottom, $unit);
    }

    /** @throws InvalidLength */
    private static function decimal(string $decimal, Unit $unit, string $typed): Length
    {
        if (preg_match('/,\d{3}$/', $decimal) === 1) {
            throw InvalidLength::ambiguousComma($typed);
        }
        [$whole, $places] = explode('.', str_replace(',', '.', $decimal).'.');
        $places = substr($places, 0, 9);

        return self::quotient(self::boundedInt($whole.$places), 10 ** strlen($places), $unit);
    }

    /** @throws InvalidLength */
    private static function boundedInt(string $digits): int
    {
        $digits = ltrim($digits, '0');
        if (strlen($digits) > 13) {
            throw InvalidLength::tooLarge(self::limit());
        }

        return (int) $digits;
    }

    /**
     * The nearest tick to top/bottom of the unit. The whole part is taken off first so that no product overflows.
     *
     * @throws InvalidLength
     */
    private static function quotient(int $top, int $bottom, Unit $unit): Length
    {
        $whole = intdiv($top, $bottom);
        if ($whole > 2000) {
            throw InvalidLength::tooLarge(self::limit());
        }
        $rest = ($top % $bottom) / $bottom * $unit->ticks();

        return Length::ofTicks($whole * $unit->ticks() + (int) round($rest));
    }
}
