<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Setting;

/** Another setting of a piece, and where it alone would have to be set to save what a missed figure lost. */
final readonly class Rescue
{
    /**
     * @param non-empty-list<int> $measures indexes into the piece's measures
     * @param string $text where it would be read
     */
    public function __construct(public Setting $setting, public array $measures, public Length $to, public string $text)
    {
    }
}
