<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

use LogicException;

/** A tool's graduation: the smallest length it can be set to. Positions on the tool are whole multiples of it. */
final readonly class Step
{
    private function __construct(public Length $size)
    {
    }

    public static function of(Length $size): self
    {
        if (! $size->isPositive()) {
            throw new LogicException('A step is greater than zero.');
        }

        return new self($size);
    }

    /** The largest whole number of steps not above the length. */
    public function down(Length $length): Length
    {
        return $this->size->times($this->wholeSteps($length));
    }

    /** The smallest whole number of steps not below the length. */
    public function up(Length $length): Length
    {
        return $this->size->times(-$this->wholeSteps($length->times(-1)));
    }

    public function divides(Length $length): bool
    {
        return $length->ticks % $this->size->ticks === 0;
    }

    private function wholeSteps(Length $length): int
    {
        $steps = intdiv($length->ticks, $this->size->ticks);

        return $length->ticks % $this->size->ticks < 0 ? $steps - 1 : $steps;
    }
}
