<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

/**
 * Reads a length as people write it.
 *
 *     length   := number ["-"] [unit] | length length, the second in a smaller unit of the same system
 *     number   := decimal | fraction | whole separator fraction
 *     decimal  := digits [("." | ",") digits] | "." digits
 *     fraction := digits ("/" | "⁄") digits | one of ¼ ½ ¾ ⅐ … ⅞
 *     separator:= spaces | any dash | and, & or +     (none needed before ¼ and its like)
 *     unit     := in, inch, ", ″, cm, mm and their longer spellings; ft, ', ′, yd; m; mil, thou; µm, micron
 *
 * Digits may be of any script that counts in tens, and signs full-width. A fraction without a unit is asked about unless inches are meant.
 * Values that are no whole number of ticks (1/7 in, 0.0001 in) come to the nearest tick, 1.4 nm away at most.
 * A comma before exactly three digits is refused: it may mean a thousand.
 */
final class LengthParser
{
    public const LONGEST_TEXT = 40;

    /** So many texts are known: one request is read again and again while what mends it is looked for. */
    private const MOST_KNOWN = 2000;

    /** What signs spell out; a fraction that is one sign may follow its whole number at once. */
    private const VULGAR = [
        '⁄' => '/', '∕' => '/',
        '¼' => ' 1/4', '½' => ' 1/2', '¾' => ' 3/4', '⅐' => ' 1/7', '⅑' => ' 1/9', '⅒' => ' 1/10', '⅓' => ' 1/3', '⅔' => ' 2/3',
        '⅕' => ' 1/5', '⅖' => ' 2/5', '⅗' => ' 3/5', '⅘' => ' 4/5', '⅙' => ' 1/6', '⅚' => ' 5/6',
        '⅛' => ' 1/8', '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8',
    ];

    private const NUMBER = '~^(?:(?<whole>[0-9]+)(?:\s+|\s*-\s*))?(?<top>[0-9]+)/(?<bottom>[0-9]+)$|^(?<decimal>[0-9]+(?:[.,][0-9]*)?|[.,][0-9]+)$~';

    private const ONE = '~^(?<number>[0-9\s.,/-]*[0-9][.,]?|[.,][0-9]+)\s*(?:-\s*)?(?<unit>[^0-9\s.,/-][^0-9]*)?$~u';

    /** Between a fraction and its whole number. */
    private const AND = '~(?<=[0-9])\s*(?:\band\b|[&+])\s*(?=[0-9])~i';

    /** Between a length and the one in a smaller unit that belongs to it. */
    private const NEXT = '~(?<=[^0-9\s.,/-]|[a-z]\.)[\s,]*(?=[0-9])~u';

    /** Longer and shorter ones of a unit: how many of it, over how many. */
    private const SCALED = [
        "'" => [Unit::Inch, 12, 1], '′' => [Unit::Inch, 12, 1], '’' => [Unit::Inch, 12, 1], 'ft' => [Unit::Inch, 12, 1], 'ft.' => [Unit::Inch, 12, 1],
        'foot' => [Unit::Inch, 12, 1], 'feet' => [Unit::Inch, 12, 1], 'yd' => [Unit::Inch, 36, 1], 'yard' => [Unit::Inch, 36, 1], 'yards' => [Unit::Inch, 36, 1],
        'm' => [Unit::Millimetre, 1000, 1], 'metre' => [Unit::Millimetre, 1000, 1], 'metres' => [Unit::Millimetre, 1000, 1], 'meter' => [Unit::Millimetre, 1000, 1], 'meters' => [Unit::Millimetre, 1000, 1],
        'mil' => [Unit::Inch, 1, 1000], 'mils' => [Unit::Inch, 1, 1000], 'thou' => [Unit::Inch, 1, 1000],
        'µm' => [Unit::Millimetre, 1, 1000], 'μm' => [Unit::Millimetre, 1, 1000], 'um' => [Unit::Millimetre, 1, 1000],
        'micron' => [Unit::Millimetre, 1, 1000], 'microns' => [Unit::Millimetre, 1, 1000],
    ];

    /** No number of a unit is larger: products of it stay within an integer. */
    private const MOST = 1_000_000;

    /** @var array<string, WrittenLength> those that were read before, by text, bare unit and limit */
    private static array $read = [];

    /** Two metres: nothing that is held, cut or set in this trade is longer. */
    public static function limit(): Length
    {
        return Length::mm(2000);
    }

    /** Twenty-five metres: no roll of paper is counted as longer, so that its area in square ticks, two metres wide, stays within an integer. */
    public static function limitOfRolls(): Length
    {
        return Length::mm(25_000);
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

    /** The unit a length is written in, or the bare one; null where it is no length. */
    public static function unitIn(string $text, ?Unit $bare = null): ?Unit
    {
        try {
            return self::read($text, $bare)->unit;
        } catch (InvalidLength) {
            return null;
        }
    }

    /**
     * As parse(), and keeps the unit it was written in.
     *
     * @throws InvalidLength
     */
    public static function read(string $text, ?Unit $bare = null, ?Length $limit = null): WrittenLength
    {
        $limit ??= self::limit();
        $key = $text."\0".($bare?->value)."\0".$limit->ticks;
        if (count(self::$read) > self::MOST_KNOWN) {
            self::$read = [];
        }

        return self::$read[$key] ??= self::written($text, $bare, $limit);
    }

    /** @throws InvalidLength */
    private static function written(string $text, ?Unit $bare, Length $limit): WrittenLength
    {
        if (mb_strlen($text) > self::LONGEST_TEXT) {
            throw InvalidLength::tooLong(self::LONGEST_TEXT);
        }
        $plain = self::plain($text);
        if ($plain === '') {
            throw InvalidLength::empty();
        }
        if ($plain[0] === '-') {
            throw InvalidLength::negative($text);
        }
        $parts = preg_match(self::ONE, $plain) === 1 ? [$plain] : (preg_split(self::NEXT, preg_replace(self::AND, ' ', $plain) ?? $plain) ?: [$plain]);
        try {
            $written = self::sum(array_map(fn (string $part): array => self::one($part, $bare, $text), $parts), $text);
        } catch (InvalidLength $error) {
            throw count($parts) > 1 ? InvalidLength::unreadable($text) : $error;
        }
        if ($written->length->isMoreThan($limit)) {
            throw InvalidLength::tooLarge($limit);
        }

        return $written;
    }

    /**
     * @return array{WrittenLength, float} and the ticks of the unit it is written in
     *
     * @throws InvalidLength
     */
    private static function one(string $plain, ?Unit $bare, string $typed): array
    {
        if (preg_match(self::ONE, $plain, $match) !== 1) {
            throw InvalidLength::unreadable($typed);
        }
        $spelled = trim($match['unit'] ?? '');
        $number = trim($match['number']);
        [$unit, $times, $over] = $spelled === '' ? [$bare, 1, 1] : self::SCALED[mb_strtolower($spelled)] ?? [Unit::spelled($spelled), 1, 1];
        if ($unit === null) {
            throw $spelled === '' ? InvalidLength::unitMissing($typed) : InvalidLength::unitUnknown($spelled);
        }
        $length = self::number($number, $unit, $times, $over, $typed);
        if ($spelled === '' && $unit !== Unit::Inch && str_contains($number, '/')) {
            throw InvalidLength::fractionOfWhat($typed);
        }

        return [new WrittenLength($length, $unit, $spelled !== ''), $unit->ticks() * $times / $over];
    }

    /**
     * @param list<array{WrittenLength, float}> $parts
     *
     * @throws InvalidLength where they are no one length: of both systems, or not from the larger unit to the smaller
     */
    private static function sum(array $parts, string $typed): WrittenLength
    {
        [$sum, $last] = array_shift($parts) ?? throw InvalidLength::unreadable($typed);
        foreach ($parts as [$part, $ticks]) {
            $isMore = $sum->unitIsWritten && $part->unitIsWritten && $ticks < $last && ($sum->unit === Unit::Inch) === ($part->unit === Unit::Inch);
            $sum = new WrittenLength($isMore ? $sum->length->plus($part->length) : throw InvalidLength::unreadable($typed), $part->unit, true);
            $last = $ticks;
        }

        return $sum;
    }

    /** ASCII digits, dashes and slash, fractions spelled out, every space an ordinary one. */
    public static function plain(string $text): string
    {
        // Most is plain ASCII already.
        if (preg_match('/^[!-~]+(?: [!-~]+)*$/', $text) === 1) {
            return $text;
        }
        $text = preg_replace('/[\p{Z}\t\r\n]+/u', ' ', mb_scrub($text, 'UTF-8')) ?? '';
        $text = preg_replace_callback('/[^\x00-\x7F]/u', fn (array $sign) => self::ascii($sign[0]), strtr($text, self::VULGAR)) ?? '';

        return trim(preg_replace('/[\p{Pd}−]/u', '-', $text) ?? '');
    }

    /** A full-width sign as the ordinary one, a digit of any script as 0 to 9: scripts have theirs in tens from their nought on (Unicode). */
    private static function ascii(string $sign): string
    {
        $code = mb_ord($sign, 'UTF-8');
        if ($code >= 0xFF01 && $code <= 0xFF5E) {
            return chr($code - 0xFEE0);
        }
        if (preg_match('/^\p{Nd}$/u', $sign) !== 1) {
            return $sign;
        }
        for ($before = $code; preg_match('/^\p{Nd}$/u', (string) mb_chr($before - 1, 'UTF-8')) === 1;) {
            $before--;
        }

        return (string) (($code - $before) % 10);
    }

    /** @throws InvalidLength */
    private static function number(string $number, Unit $unit, int $times, int $over, string $typed): Length
    {
        if (preg_match(self::NUMBER, $number, $part, PREG_UNMATCHED_AS_NULL) !== 1) {
            throw InvalidLength::unreadable($typed);
        }
        if ($part['decimal'] !== null) {
            return self::decimal($part['decimal'], $unit, $times, $over, $typed);
        }
        // Short enough that no product of them overflows.
        [$whole, $top, $bottom] = array_map(fn (?string $digits): int => self::boundedInt($digits ?? '0', 8), [$part['whole'], $part['top'], $part['bottom']]);
        if ($bottom === 0) {
            throw InvalidLength::zeroDenominator($typed);
        }

        return self::quotient(($whole * $bottom + $top) * $times, $bottom * $over, $unit);
    }

    /** @throws InvalidLength */
    private static function decimal(string $decimal, Unit $unit, int $times, int $over, string $typed): Length
    {
        if (preg_match('/,[0-9]{3}$/', $decimal) === 1) {
            throw InvalidLength::ambiguousComma($typed);
        }
        [$whole, $places] = explode('.', str_replace(',', '.', $decimal).'.');
        $places = substr($places, 0, 9);

        return self::quotient(self::boundedInt($whole.$places) * $times, 10 ** strlen($places) * $over, $unit);
    }

    /** @throws InvalidLength */
    private static function boundedInt(string $digits, int $most = 13): int
    {
        $digits = ltrim($digits, '0');
        if (strlen($digits) > $most) {
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
        if ($whole > self::MOST) {
            throw InvalidLength::tooLarge(self::limit());
        }
        $rest = ($top % $bottom) / $bottom * $unit->ticks();

        return Length::ofTicks($whole * $unit->ticks() + (int) round($rest));
    }
}
