<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\Unit;

/** A length a maker can change: where it stands in the spec, what it is now, and by how much the arrow keys move it. */
final readonly class Field
{
    /**
     * @param bool $isGiven whether the spec says it, or it is a default
     * @param ?array{float, float} $ordinaryMm between which lengths nobody is asked back, mm; null where nobody ever is
     */
    public function __construct(
        public string $at,
        public Length $value,
        public Step $step,
        public Unit $unit,
        public bool $isGiven,
        public bool $mayBeZero,
        private ?string $written = null,
        public ?array $ordinaryMm = null,
    ) {
    }

    /** As the maker wrote it; a default in the system's own unit. */
    public function text(): string
    {
        return $this->written ?? LengthFormatter::in($this->unit)->text($this->value);
    }

    /** The unit it reads in now: what the maker wrote, else the field's own. */
    public function unitShown(): Unit
    {
        return LengthParser::unitIn($this->written ?? '', $this->unit) ?? $this->unit;
    }

    /**
     * The value that many steps on: always a whole number of steps, never below one step (or zero where that may be).
     *
     * Example: 107.95 mm nudged by 1 with a step of 1 mm is 108 mm.
     */
    public function nudged(int $steps): string
    {
        $from = $steps > 0 ? $this->step->down($this->value) : $this->step->up($this->value);
        $least = $this->mayBeZero ? Length::zero() : $this->step->size;

        return LengthFormatter::in($this->unit)->text(Length::max($from->plus($this->step->size->times($steps)), $least));
    }
}
