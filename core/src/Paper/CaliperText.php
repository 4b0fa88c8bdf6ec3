<?php

declare(strict_types=1);

namespace Gimbo\Core\Paper;

use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Measure\WrittenLength;

/**
 * Reads how thick a paper is as its makers write it: a length, points (thousandths of an inch), or a weight, which Paper makes a
 * caliper of.
 */
final readonly class CaliperText
{
    private const NOT_A_LENGTH = '~^(?<amount>[0-9]{1,4}(?:[.,][0-9]{1,3})?)\s*-?\s*(?:(?<points>pts?\.?|points?)|(?<grams>gsm|g/m(?:²|2|\^2)|g\.?)|(?<pounds>lbs?\.?|\#|pounds?)\s*(?<grade>text|offset|cover)?)$~iu';

    /** No paper is thinner or thicker than that in mm; common practice, no source. */
    private const THINNEST = 0.03;

    private const THICKEST = 3.0;

    /** In g/m²; board that is heavier is not sold by weight. */
    private const HEAVIEST = 2000;

    /** @throws InvalidLength */
    public static function parse(string $text): Length
    {
        return self::read($text)->length;
    }

    /**
     * @param ?Unit $bare the unit a number without one means; null where it is an error
     *
     * @throws InvalidLength
     */
    public static function read(string $text, ?Unit $bare = null): WrittenLength
    {
        if (mb_strlen($text) > LengthParser::LONGEST_TEXT || preg_match(self::NOT_A_LENGTH, LengthParser::plain($text), $match, PREG_UNMATCHED_AS_NULL) !== 1) {
            return self::likely(LengthParser::read($text, $bare), $text);
        }
        $amount = (float) str_replace(',', '.', (string) $match['amount']);
        if ($match['points'] !== null) {
            return new WrittenLength(Length::nearestTo($amount * 25.4 / 1000), Unit::Inch, true);
        }
        $weight = match (true) {
            $match['grams'] !== null => Weight::Grams,
            $match['grade'] === null => throw InvalidLength::poundsOfWhat($text),
            strcasecmp($match['grade'], 'cover') === 0 => Weight::CoverPounds,
            default => Weight::TextPounds,
        };
        $grammage = $weight->grammage((int) round($amount));
        $grammage <= self::HEAVIEST || throw InvalidLength::unlikelyCaliper($text);

        return new WrittenLength(Paper::caliperOf($grammage), Unit::Millimetre, true);
    }

    /** @throws InvalidLength where a number without a unit may well be meant in another one */
    private static function likely(WrittenLength $written, string $typed): WrittenLength
    {
        $mm = $written->length->toMillimetres();
        $isLikely = $written->unitIsWritten || $mm === 0.0 || ($mm >= self::THINNEST && $mm <= self::THICKEST);

        return $isLikely ? $written : throw InvalidLength::unlikelyCaliper($typed);
    }
}
