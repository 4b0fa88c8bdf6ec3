<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

use Gimbo\Core\Error\Quantity;
use LogicException;

/**
 * An exact length, positive, zero or negative.
 *
 * Invariant: a whole number of ticks of 1/360,000 mm (1/9,144,000 in), so that 1/64 in, 1/3 in, a
 * thousandth of an inch, a micrometre and a PDF point are all whole (docs/adr/0001). At most ±10^15 ticks (2,800 km), far
 * inside a 64-bit integer: overflow is misuse and throws a LogicException.
 */
final readonly class Length implements Quantity
{
    public const TICKS_PER_MM = 360_000;

    public const TICKS_PER_INCH = 9_144_000;

    private const LIMIT = 1_000_000_000_000_000;

    /** A float this close below a whole tick (in ticks; 0.3 pm) counts as that tick: it is arithmetic dust. */
    private const DUST_TICKS = 1e-4;

    private function __construct(public int $ticks)
    {
        if ($ticks > self::LIMIT || $ticks < -self::LIMIT) {
            throw new LogicException('A length went out of range.');
        }
    }

    public static function ofTicks(int $ticks): self
    {
        return new self($ticks);
    }

    public static function zero(): self
    {
        return new self(0);
    }

    /** Millimetres as a fraction: `mm(3, 10)` is 0.3 mm. The fraction must be a whole number of ticks. */
    public static function mm(int $numerator, int $denominator = 1): self
    {
        return self::fraction($numerator * self::TICKS_PER_MM, $denominator);
    }

    /** Inches as a fraction: `inches(7, 16)` is 7/16 in. The fraction must be a whole number of ticks. */
    public static function inches(int $numerator, int $denominator = 1): self
    {
        return self::fraction($numerator * self::TICKS_PER_INCH, $denominator);
    }

    private static function fraction(int $ticks, int $denominator): self
    {
        if ($denominator < 1 || $ticks % $denominator !== 0) {
            throw new LogicException('Not a whole number of ticks.');
        }

        return new self(intdiv($ticks, $denominator));
    }

    /** The one door back from geometry: the nearest tick to a number of millimetres, halves away from zero. */
    public static function nearestTo(float $millimetres): self
    {
        return new self((int) round($millimetres * self::TICKS_PER_MM));
    }

    /** The smallest length not below a number of millimetres, for what must not come out short. */
    public static function atLeast(float $millimetres): self
    {
        return new self((int) ceil($millimetres * self::TICKS_PER_MM - self::DUST_TICKS));
    }

    /** The largest length not above a number of millimetres, for what must not come out long. */
    public static function atMost(float $millimetres): self
    {
        return new self((int) floor($millimetres * self::TICKS_PER_MM + self::DUST_TICKS));
    }

    public function plus(self ...$others): self
    {
        $sum = $this->ticks;
        foreach ($others as $other) {
            $sum += $other->ticks;
        }

        return new self($sum);
    }

    public function minus(self $other): self
    {
        return new self($this->ticks - $other->ticks);
    }

    public function times(int $factor): self
    {
        return new self($this->ticks * $factor);
    }

    /** This times numerator/denominator, to the nearest tick, halves away from zero. */
    public function timesNearest(int $numerator, int $denominator): self
    {
        return new self((int) round($this->ticks * $numerator / $denominator));
    }

    public function compareTo(self $other): int
    {
        return $this->ticks <=> $other->ticks;
    }

    public function equals(self $other): bool
    {
        return $this->ticks === $other->ticks;
    }

    public function isLessThan(self $other): bool
    {
        return $this->ticks < $other->ticks;
    }

    public function isMoreThan(self $other): bool
    {
        return $this->ticks > $other->ticks;
    }

    public function isZero(): bool
    {
        return $this->ticks === 0;
    }

    public function isPositive(): bool
    {
        return $this->ticks > 0;
    }

    public static function max(self $first, self ...$others): self
    {
        return array_reduce($others, fn (self $a, self $b) => $b->isMoreThan($a) ? $b : $a, $first);
    }

    public static function min(self $first, self ...$others): self
    {
        return array_reduce($others, fn (self $a, self $b) => $b->isLessThan($a) ? $b : $a, $first);
    }

    public function toMillimetres(): float
    {
        return $this->ticks / self::TICKS_PER_MM;
    }

    public function toInches(): float
    {
        return $this->ticks / self::TICKS_PER_INCH;
    }
}
