<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

/** The units people write; the inch is exactly 25.4 mm (international yard and pound agreement, 1959). */
enum Unit: string
{
    case Inch = 'in';
    case Centimetre = 'cm';
    case Millimetre = 'mm';

    private const SPELLINGS = [
        'in' => self::Inch, 'ins' => self::Inch, 'in.' => self::Inch, 'inch' => self::Inch, 'inches' => self::Inch,
        '"' => self::Inch, '″' => self::Inch, '”' => self::Inch, '“' => self::Inch, "''" => self::Inch, '′′' => self::Inch, '’’' => self::Inch,
        'cm' => self::Centimetre, 'cm.' => self::Centimetre,
        'centimetre' => self::Centimetre, 'centimetres' => self::Centimetre,
        'centimeter' => self::Centimetre, 'centimeters' => self::Centimetre,
        'mm' => self::Millimetre, 'mm.' => self::Millimetre,
        'millimetre' => self::Millimetre, 'millimetres' => self::Millimetre,
        'millimeter' => self::Millimetre, 'millimeters' => self::Millimetre,
    ];

    public static function spelled(string $text): ?self
    {
        return self::SPELLINGS[mb_strtolower($text)] ?? null;
    }

    /** Ticks of Length in one of this unit: exact. */
    public function ticks(): int
    {
        return match ($this) {
            self::Inch => Length::TICKS_PER_INCH,
            self::Centimetre => 10 * Length::TICKS_PER_MM,
            self::Millimetre => Length::TICKS_PER_MM,
        };
    }
}
