<?php

declare(strict_types=1);

namespace Gimbo\Core\Paper;

/**
 * In what a paper's weight is given. Pounds count 500 sheets of the grade's basis size (TAPPI basis sizes: text and
 * offset 25 × 38 in, cover 20 × 26 in); a pound is 453.59237 g and an inch 25.4 mm, both exactly.
 */
enum Weight: string
{
    case Grams = 'gsm';
    case TextPounds = 'text-lb';
    case CoverPounds = 'cover-lb';

    private const GRAMS_A_POUND = 453.59237;

    private const SHEETS = 500;

    /** In g/m², to the nearest gram. */
    public function grammage(int $amount): int
    {
        $squareInches = match ($this) {
            self::Grams => null,
            self::TextPounds => 25 * 38,
            self::CoverPounds => 20 * 26,
        };

        return $squareInches === null ? $amount : (int) round($amount * self::GRAMS_A_POUND / (self::SHEETS * $squareInches * 0.0254 ** 2));
    }
}
