<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

use Gimbo\Core\Error\CoreError;
use Gimbo\Core\Error\Reason;
use RuntimeException;

/** Text that is not a length, with the reason. */
final class InvalidLength extends RuntimeException implements CoreError
{
    private function __construct(public readonly Reason $reason)
    {
        parent::__construct($reason->code);
    }

    public static function empty(): self
    {
        return new self(Reason::of('length.empty'));
    }

    public static function tooLong(int $limit): self
    {
        return new self(Reason::of('length.too-long', ['limit' => $limit]));
    }

    public static function negative(string $text): self
    {
        return new self(Reason::of('length.negative', ['text' => Reason::quote($text)]));
    }

    public static function unreadable(string $text): self
    {
        return new self(Reason::of('length.unreadable', ['text' => Reason::quote($text)]));
    }

    public static function unitMissing(string $text): self
    {
        return new self(Reason::of('length.unit-missing', ['text' => Reason::quote($text)]));
    }

    public static function unitUnknown(string $unit): self
    {
        return new self(Reason::of('length.unit-unknown', ['unit' => Reason::quote($unit)]));
    }

    public static function zeroDenominator(string $text): self
    {
        return new self(Reason::of('length.zero-denominator', ['text' => Reason::quote($text)]));
    }

    public static function ambiguousComma(string $text): self
    {
        return new self(Reason::of('length.ambiguous-comma', ['text' => Reason::quote($text)]));
    }

    /** A fraction without a unit, where millimetres are usual: fractions are of inches. */
    public static function fractionOfWhat(string $text): self
    {
        return new self(Reason::of('length.fraction-of-what', ['text' => Reason::quote($text)]));
    }

    public static function unlikelyCaliper(string $text): self
    {
        return new self(Reason::of('length.unlikely-caliper', ['text' => Reason::quote($text)]));
    }

    /** A pound is so many sheets of one size for text, and of another for cover. */
    public static function poundsOfWhat(string $text): self
    {
        return new self(Reason::of('length.pounds-of-what', ['text' => Reason::quote($text)]));
    }

    public static function tooLarge(Length $limit): self
    {
        return new self(Reason::of($limit->isMoreThan(LengthParser::limit()) ? 'length.roll-too-long' : 'length.too-large', ['limit' => $limit]));
    }

    public static function notPositive(): self
    {
        return new self(Reason::of('length.not-positive'));
    }

    public static function notText(): self
    {
        return new self(Reason::of('length.not-text'));
    }
}
