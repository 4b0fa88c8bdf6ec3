<?php

declare(strict_types=1);

namespace Gimbo\Core\Paper;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\Unit;

/**
 * A size that has a name: cards, envelopes and sheets, each with the source it was taken from; none where it is common practice.
 *
 * ISO A and B sizes by the rule of ISO 216 (halve the long side, whole millimetres, rounded down); the C envelope
 * sizes of ISO 269 by the same rule from 917 × 1297 mm. Others as PWG 5101.1 gives them.
 */
final readonly class NamedSize
{
    private const ISO = ['A' => [841, 1189, 'ISO 216'], 'B' => [1000, 1414, 'ISO 216'], 'C' => [917, 1297, 'ISO 269']];

    private const SMALLEST_ISO = 8;

    public function __construct(public string $id, public string $kind, public Rectangle $size, public ?string $source)
    {
    }

    /** An ISO size such as "A6"; null for what is none. */
    public static function iso(string $name): ?self
    {
        if (preg_match('/^([ABC])([0-8])$/', $name, $match) !== 1) {
            return null;
        }
        [$width, $height, $source] = self::ISO[$match[1]];
        for ($half = 0; $half < (int) $match[2]; $half++) {
            [$width, $height] = [intdiv($height, 2), $width];
        }

        return new self($name, $match[1] === 'C' ? 'envelope' : 'sheet', new Rectangle(Length::mm($width), Length::mm($height)), $source);
    }

    /** Whether this is exactly an ISO A size, whichever way it lies. */
    public static function isIsoA(Rectangle $size): bool
    {
        $upright = $size->isPortrait() ? $size : $size->turned();
        for ($number = 0; $number <= self::SMALLEST_ISO; $number++) {
            if (self::iso("A$number")?->size->isSameAs($upright)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<self> what a maker chooses from, cards first, portrait */
    public static function all(): array
    {
        // Common practice, no source.
        $practice = null;
        $inch = fn (string $id, string $kind, string $wide, string $high, ?string $source): self => new self(
            $id, $kind, new Rectangle(LengthParser::parse($wide, Unit::Inch), LengthParser::parse($high, Unit::Inch)), $source,
        );

        return [
            $inch('quarter-letter', 'card', '4 1/4', '5 1/2', $practice),
            $inch('5x7', 'card', '5', '7', 'PWG 5101.1 na_5x7'),
            $inch('4x6', 'card', '4', '6', 'PWG 5101.1 na_index-4x6'),
            $inch('3x5', 'card', '3', '5', 'PWG 5101.1 na_index-3x5'),
            $inch('square-5', 'card', '5', '5', $practice),
            ...array_map(fn (string $name) => new self($name, 'card', self::size($name), 'ISO 216'), ['A7', 'A6', 'A5']),
            new self('DL', 'envelope', new Rectangle(Length::mm(110), Length::mm(220)), 'ISO 269'),
            ...array_map(fn (string $name) => new self($name, 'envelope', self::size($name), 'ISO 269'), ['C7', 'C6', 'C5']),
            $inch('envelope-a2', 'envelope', '4 3/8', '5 3/4', 'PWG 5101.1 na_a2'),
            $inch('envelope-number-10', 'envelope', '4 1/8', '9 1/2', 'PWG 5101.1 na_number-10'),
            $inch('envelope-monarch', 'envelope', '3 7/8', '7 1/2', 'PWG 5101.1 na_monarch'),
            $inch('letter', 'sheet', '8 1/2', '11', 'PWG 5101.1 na_letter'),
            $inch('legal', 'sheet', '8 1/2', '14', 'PWG 5101.1 na_legal'),
            $inch('12x12', 'sheet', '12', '12', $practice),
            $inch('ledger', 'sheet', '11', '17', 'PWG 5101.1 na_ledger'),
            ...array_map(fn (string $name) => new self($name, 'sheet', self::size($name), 'ISO 216'), ['A4', 'A3', 'A2']),
        ];
    }

    /** Sizes of the ISO standards are defined in millimetres, the others in inches. */
    public function isMetric(): bool
    {
        return str_starts_with((string) $this->source, 'ISO');
    }

    private static function size(string $iso): Rectangle
    {
        $known = self::iso($iso);
        assert($known !== null);

        return $known->size;
    }
}
