<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

/**
 * Writes lengths as makers read them: "3 1/2 in", "89 mm" or "8.9 cm", plain ASCII, the unit once.
 *
 * Inches: halves to sixty-fourths as a reduced fraction; else hundredths where those are exact (a notch of
 * 0.44 in); else the nearest thirty-second. Millimetres and centimetres: at most two decimals where they are
 * exact, else one.
 */
final readonly class LengthFormatter
{
    private const FINEST_FRACTION = 64;

    private const APPROXIMATE_FRACTION = 32;

    /** Ticks of a sixty-fourth of an inch. */
    private const SIXTY_FOURTH = Length::TICKS_PER_INCH / self::FINEST_FRACTION;

    private int $ticksPerUnit;

    private function __construct(private Unit $unit)
    {
        $this->ticksPerUnit = $unit->ticks();
    }

    public function unit(): Unit
    {
        return $this->unit;
    }

    public static function in(Unit $unit): self
    {
        return new self($unit);
    }

    public static function for(System $system): self
    {
        return new self($system->unit());
    }

    public function text(Length $length): string
    {
        $sign = $length->ticks < 0 ? '-' : '';
        $ticks = abs($length->ticks);

        return $sign.($this->unit === Unit::Inch ? $this->inches($ticks) : $this->decimal($ticks)).' '.$this->unit->value;
    }

    /** For what is looked at, not set: always a fraction in inches, one decimal otherwise. */
    public function rounded(Length $length): string
    {
        $ticks = abs($length->ticks);
        $number = $this->unit === Unit::Inch ? self::fraction($ticks) : self::plain($ticks / $this->ticksPerUnit, 1);

        return ($length->ticks < 0 && $number !== '0' ? '-' : '').$number.' '.$this->unit->value;
    }

    /** For what was measured finer than any tool is set: a decimal in every unit. */
    public function measured(Length $length, int $decimals): string
    {
        return self::plain($length->ticks / $this->ticksPerUnit, $decimals).' '.$this->unit->value;
    }

    /** As text(), with "≈ " before it where the figure written is not the length exactly. */
    public function marked(Length $length): string
    {
        return $this->isExact($length) ? $this->text($length) : '≈ '.$this->text($length);
    }

    public function isExact(Length $length): bool
    {
        return $this->isHundredths($length->ticks) || ($this->unit === Unit::Inch && self::isSixtyFourths($length->ticks));
    }

    private function inches(int $ticks): string
    {
        if (! self::isSixtyFourths($ticks) && $this->isHundredths($ticks)) {
            return $this->decimal($ticks);
        }

        return self::fraction($ticks);
    }

    private static function fraction(int $ticks): string
    {
        $bottom = self::isSixtyFourths($ticks) ? self::FINEST_FRACTION : self::APPROXIMATE_FRACTION;
        $parts = (int) round($ticks * $bottom / Length::TICKS_PER_INCH);
        $whole = intdiv($parts, $bottom);
        $top = $parts - $whole * $bottom;
        if ($top === 0) {
            return (string) $whole;
        }
        while (($top & 1) === 0) {
            $top >>= 1;
            $bottom >>= 1;
        }

        return $whole === 0 ? "$top/$bottom" : "$whole $top/$bottom";
    }

    private function decimal(int $ticks): string
    {
        return self::plain($ticks / $this->ticksPerUnit, $this->isHundredths($ticks) ? 2 : 1);
    }

    private static function plain(float $number, int $decimals): string
    {
        return rtrim(rtrim(number_format($number, $decimals, '.', ''), '0'), '.');
    }

    private static function isSixtyFourths(int $ticks): bool
    {
        return $ticks % self::SIXTY_FOURTH === 0;
    }

    private function isHundredths(int $ticks): bool
    {
        return $ticks % intdiv($this->ticksPerUnit, 100) === 0;
    }
}
