<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlantGateCard;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Sheet\NothingLeft;

/**
 * A slanted cut off a corner, as it is set on the trimmer: one end on the rail, the corner a reading k away from it.
 *
 * A line through a point at l from the corner along one edge, with the corner k away from the line, meets the other edge
 * at l·k/√(l² − k²) from the corner; so k = l·m/√(l² + m²) for a meeting point at m. Lengths in millimetres.
 */
final readonly class RailCut
{
    private const MOST_OF_EDGE = 0.9;

    private const MOST_OF_RAIL = 0.99;

    /** @param float $other how far from the corner the cut meets the other edge, with the reading as it is set */
    private function __construct(public Length $reading, public float $other, public MakeUp $madeOf)
    {
    }

    /**
     * The setting nearest to the one that would meet the other edge at the wanted place, and never beyond nine tenths of
     * that edge; a trimmer too coarse for that cuts nothing off.
     *
     * @param float $along how far the point on the rail lies from the corner
     * @param float $edge how long the other edge is
     */
    public static function reaching(float $along, float $wanted, float $edge, Step $step): self
    {
        $reading = fn (float $other): Length => Length::nearestTo($along * $other / hypot($along, $other));
        $exact = $reading($wanted);
        $set = Length::min(
            $step->down($exact->plus($step->size->timesNearest(1, 2))),
            $step->down($reading($edge * self::MOST_OF_EDGE)),
            $step->down(Length::atMost($along * self::MOST_OF_RAIL)),
        );

        return self::set($set, $along, MakeUp::of(new Term(TermKind::Slant, $exact))->roundedTo($set));
    }

    /**
     * The same reading, or one moved on purpose or by mistake, where the point on the rail really lies.
     *
     * @param float $edge how long the other edge is
     *
     * @throws NothingLeft where the cut misses that edge, or takes nothing off
     */
    public function where(float $along, Length $by, float $edge): self
    {
        $reading = $this->reading->plus($by);
        if ($by->isZero() && $this->reading->isZero()) {
            return $this;
        }
        // The corner is nearer to the cut than to the point on the rail.
        $reading->isPositive() && $reading->toMillimetres() < $along || throw NothingLeft::of('flap');
        $cut = self::set($reading, $along, $this->madeOf->roundedTo($reading));

        return $cut->other < $edge ? $cut : throw NothingLeft::of('flap');
    }

    private static function set(Length $reading, float $along, MakeUp $madeOf): self
    {
        $k = $reading->toMillimetres();

        return new self($reading, $along * $k / sqrt($along ** 2 - $k ** 2), $madeOf);
    }
}
