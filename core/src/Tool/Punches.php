<?php

declare(strict_types=1);

namespace Gimbo\Core\Tool;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/** What cuts one size only: punches, dies, an embossing plate, tape. What nobody has spoken of is not reckoned with. */
final readonly class Punches
{
    /** Finer than any of these is made. */
    private const SAME_MM = 0.05;

    /**
     * @param list<Length> $circles diameters, the smallest first
     * @param ?Length $circleReach from the sheet's edge to the middle of what a circle punch can take out; null where nobody has said
     * @param list<Length> $corners radii of corner rounders, the smallest first
     * @param ?Rectangle $tab of a tab punch
     * @param ?Length $repeat after which an edge punch's pattern begins again
     * @param ?Length $holeReach from the sheet's edge to the middle of a hole
     * @param list<array{string, Rectangle}> $dies of windows: `rect` or `oval`, and how large
     * @param ?Rectangle $plate what an embossing plate covers in one pass
     * @param list<Length> $tapes widths, the narrowest first
     */
    public function __construct(
        public array $circles = [], public ?Length $circleReach = null, public array $corners = [], public ?Rectangle $tab = null, public ?Length $repeat = null,
        public ?Length $holeReach = null, public array $dies = [], public ?Rectangle $plate = null, public array $tapes = [],
    ) {
    }

    /** Whether there is anything that rounds a corner, or cuts a hole. */
    public function cutsAnything(): bool
    {
        return [...$this->circles, ...$this->corners, ...$this->dies] !== [];
    }

    /** The circle nearest in size to what was asked for; null where it is not said which there are. */
    public function circle(Length $across): ?Length
    {
        return self::nearest($this->circles, $across);
    }

    /** The corner rounder nearest to a radius. */
    public function corner(Length $radius): ?Length
    {
        return self::nearest($this->corners, $radius);
    }

    /** The widest tape that lies wholly on a join so wide; null where none does. */
    public function tape(Length $width): ?Length
    {
        $fitting = array_filter($this->tapes, fn (Length $tape) => ! $tape->isMoreThan($width));

        return $fitting === [] ? null : Length::max(...array_values($fitting));
    }

    /** Whether a circle punch gives a round hole of exactly that size, so far from the sheet's nearest edge. */
    public function takesCircle(float $acrossMm, float $toEdgeMm): bool
    {
        return array_filter($this->circles, fn (Length $one) => abs($one->toMillimetres() - $acrossMm) < self::SAME_MM) !== []
            && ($this->circleReach === null || $toEdgeMm <= $this->circleReach->toMillimetres() + self::SAME_MM);
    }

    /** Whether there is a die of exactly that shape and size, as it is or turned. */
    public function hasDie(string $shape, float $widthMm, float $heightMm): bool
    {
        foreach ($this->dies as [$kind, $size]) {
            [$w, $h] = [$size->width->toMillimetres(), $size->height->toMillimetres()];
            $isSo = fn (float $one, float $other): bool => abs($one - $widthMm) < self::SAME_MM && abs($other - $heightMm) < self::SAME_MM;
            if ($kind === $shape && ($isSo($w, $h) || $isSo($h, $w))) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Length> $sizes */
    private static function nearest(array $sizes, Length $asked): ?Length
    {
        $off = fn (Length $size): int => abs($size->ticks - $asked->ticks);
        usort($sizes, fn (Length $a, Length $b) => $off($a) <=> $off($b));

        return $sizes[0] ?? null;
    }
}
