<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

use LogicException;

/**
 * A tool's graduation: the smallest length it can be set to. Positions on the tool are whole multiples of it. A tool with two scales is
 * set on whichever of them a figure falls better on.
 */
final readonly class Step
{
    /**
     * @param Length $size of the finest scale
     * @param Unit $unit what that scale is marked in
     * @param list<self> $others the other scales
     */
    private function __construct(public Length $size, public Unit $unit, private array $others = [])
    {
    }

    /** @param ?Unit $unit what the scale is marked in; told by the step's size where it is not said */
    public static function of(Length $size, ?Unit $unit = null): self
    {
        if (! $size->isPositive()) {
            throw new LogicException('A step is greater than zero.');
        }
        // Sixty-fourths of an inch are inches; nothing else is marked in them.
        $isInch = $size->ticks % intdiv(Length::TICKS_PER_INCH, 64) === 0;

        return new self($size, $unit ?? ($isInch ? Unit::Inch : Unit::Millimetre));
    }

    /** A tool with several scales, each alike good. */
    public static function either(self $one, self ...$others): self
    {
        $all = [$one, ...array_values($others)];
        usort($all, fn (self $a, self $b) => $a->size->compareTo($b->size));

        return new self($all[0]->size, $all[0]->unit, array_slice($all, 1));
    }

    /** @return non-empty-list<self> each of its scales by itself, the finest first */
    public function scales(): array
    {
        return [new self($this->size, $this->unit), ...$this->others];
    }

    /** The one of its scales on which a figure falls; the finest, where it falls on none. */
    public function on(Length $figure): self
    {
        foreach ($this->scales() as $scale) {
            if ($scale->divides($figure)) {
                return $scale;
            }
        }

        return $this->scales()[0];
    }

    /** The largest whole number of steps not above the length. */
    public function down(Length $length): Length
    {
        $figure = $this->size->times(self::wholeSteps($length, $this->size));
        foreach ($this->others as $scale) {
            $figure = Length::max($figure, $scale->down($length));
        }

        return $figure;
    }

    /** The smallest whole number of steps not below the length. */
    public function up(Length $length): Length
    {
        $figure = $this->size->times(-self::wholeSteps($length->times(-1), $this->size));
        foreach ($this->others as $scale) {
            $figure = Length::min($figure, $scale->up($length));
        }

        return $figure;
    }

    /** The whole number of steps nearest to the length, the greater of two. */
    public function nearest(Length $length): Length
    {
        [$less, $more] = [$this->down($length), $this->up($length)];

        return $length->minus($less)->isLessThan($more->minus($length)) ? $less : $more;
    }

    public function divides(Length $length): bool
    {
        return $length->ticks % $this->size->ticks === 0 || array_filter($this->others, fn (self $scale) => $scale->divides($length)) !== [];
    }

    private static function wholeSteps(Length $length, Length $size): int
    {
        $steps = intdiv($length->ticks, $size->ticks);

        return $length->ticks % $size->ticks < 0 ? $steps - 1 : $steps;
    }
}
