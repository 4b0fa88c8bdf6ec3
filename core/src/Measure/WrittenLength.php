<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

/** A length, its unit, and whether that unit was written or only understood. */
final readonly class WrittenLength
{
    public function __construct(public Length $length, public Unit $unit, public bool $unitIsWritten)
    {
    }

    /** "4¼" and "4.25" both become "4 1/4 in"; null where the unit cannot write the length exactly. */
    public function canonical(): ?string
    {
        $formatter = LengthFormatter::in($this->unit);

        return $formatter->isExact($this->length) ? $formatter->text($this->length) : null;
    }
}
