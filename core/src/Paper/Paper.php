<?php

declare(strict_types=1);

namespace Gimbo\Core\Paper;

use Gimbo\Core\Measure\Length;

/** What a piece is made of: caliper, weight in g/m² if known, and the sheet it must come out of if one is named. */
final readonly class Paper
{
    /** What the paper is called that a design is made of where nothing else is said. */
    public const MAIN = '';

    /**
     * @param string $id among those of its design; the main paper has none
     * @param bool $isDirectional whether its print has a top, so that a piece of it may lie one way only
     * @param int $sides how many of its sides can be shown: 1 or 2
     * @param string $grain along which of its sheet's sides it runs: long, short or none
     * @param ?string $colour as `#rrggbb`
     */
    public function __construct(
        public Length $caliper,
        public ?int $grammage = null,
        public ?Rectangle $sheet = null,
        public string $id = self::MAIN,
        public ?string $name = null,
        public ?string $colour = null,
        public bool $isDirectional = false,
        public int $sides = 1,
        public string $grain = 'none',
    ) {
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
