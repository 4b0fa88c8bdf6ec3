<?php

declare(strict_types=1);

namespace Gimbo\Core\Paper;

use Gimbo\Core\Measure\Length;

/** What a piece is made of: caliper, weight in g/m² if known, and the sheet it must come out of if one is named. */
final readonly class Paper
{
    public function __construct(public Length $caliper, public ?int $grammage = null, public ?Rectangle $sheet = null)
    {
    }

    /** Ordinary card; common practice, no source. */
    public static function usualCaliper(): Length
    {
        return Length::mm(3, 10);
    }

    /** Caliper from weight at a bulk of 1.25 cm³/g: t = g/m² × 1.25 / 1000 mm. Common practice; bulk runs from 1.1 (coated) to 1.4 (uncoated). */
    public static function caliperOf(int $grammage): Length
    {
        return Length::mm($grammage * 125, 100_000);
    }
}
