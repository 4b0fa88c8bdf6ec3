<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\MakeUp;

/** A strip of a sheet between two scores, or between a score and the edge, and the setting that ends it. */
final readonly class Strip
{
    private function __construct(public string $setting, public MakeUp $need, public bool $isContained)
    {
    }

    /** It holds something, or must reach: rounded up. */
    public static function atLeast(string $setting, MakeUp $need): self
    {
        return new self($setting, $need, false);
    }

    /** It goes inside something: rounded down, but to no less than one step. */
    public static function atMost(string $setting, MakeUp $need): self
    {
        return new self($setting, $need, true);
    }
}
