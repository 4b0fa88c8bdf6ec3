<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Tool\Punches;

/** What a usual value may depend on: the system, what is held, the punches there are, and what was chosen beside it. */
final readonly class Circumstances
{
    /** @param array<string, string> $choices of the same entry, by name */
    public function __construct(
        public System $system,
        public ?Item $item = null,
        public Punches $punches = new Punches,
        public array $choices = [],
    ) {
    }

    /** So many inches, or so many millimetres, in the system's own. */
    public function of(int $numerator, int $denominator, int $mm): Length
    {
        return $this->system === System::Imperial ? Length::inches($numerator, $denominator) : Length::mm($mm);
    }
}
