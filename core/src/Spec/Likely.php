<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\Unit;

/**
 * What was probably meant where a length is written in a unit in which hardly anything of its kind is that large, or that small: a card two
 * inches thick, a sheet longer than A0's longer side (1189 mm, ISO 216). It is asked about, never changed. The other ends are common
 * practice, no source.
 */
final class Likely
{
    /** The unit that is taken for another by who works in both. */
    private const TAKEN_FOR = ['in' => [Unit::Millimetre, Unit::Centimetre], 'cm' => [Unit::Millimetre], 'mm' => [Unit::Centimetre, Unit::Inch]];

    /** The same number in the unit that was probably meant; null where the length is ordinary, or no unit makes it so. */
    public static function meant(Field $field): ?string
    {
        if ($field->ordinaryMm === null || ! $field->isGiven) {
            return null;
        }
        [$least, $most] = $field->ordinaryMm;
        $isOrdinary = fn (Length $length): bool => $length->toMillimetres() >= $least && $length->toMillimetres() <= $most;
        if ($isOrdinary($field->value)) {
            return null;
        }
        $unit = $field->unitShown();
        foreach (self::TAKEN_FOR[$unit->value] as $other) {
            $same = Length::nearestTo($field->value->ticks / $unit->ticks() * $other->ticks() / Length::TICKS_PER_MM);
            if ($isOrdinary($same)) {
                return LengthFormatter::in($other)->measured($same, 2);
            }
        }

        return null;
    }
}
