<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;

/** Sheets of one size and paper that are there, or an offcut. */
final readonly class Stock
{
    /**
     * @param int $count how many there are
     * @param bool $isRoll whether it is a roll: its height is its length, and what is not used stays on it
     */
    public function __construct(public string $id, public string $paper, public Length $width, public Length $height, public int $count, public bool $isOffcut = false, public bool $isRoll = false)
    {
    }
}
