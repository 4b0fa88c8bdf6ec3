<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlantGateCard;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;

/**
 * A slanted cut off a corner, as it is set on the trimmer: one end on the rail, the corner a reading k away from it.
 *
 * A line through a point at l from the corner along one edge, with the corner k away from the line, meets the other edge
 * at l·k/√(l² − k²) from the corner; so k = l·m/√(l² + m²) for a meeting point at m. Lengths in millimetres.
 */
final readonly class RailCut
{
    /** @param float $other how far from the corner the cut meets the other edge, with the reading as it is set */
    private function __construct(public Length $reading, public float $other, public MakeUp $madeOf)
    {
    }

    /** The setting nearest to the one that would meet the other edge at the wanted place. */
    public static function reaching(float $along, float $wanted, Step $step): self
    {
        $exact = Length::nearestTo($along * $wanted / hypot($along, $wanted));
        $half = $step->down($exact->plus($step->size->timesNearest(1, 2)));
        $reading = Length::max($half, $step->size);
        $k = min($reading->toMillimetres(), $along * 0.98);

        return new self($reading, $along * $k / sqrt($along ** 2 - $k ** 2), MakeUp::of(new Term(TermKind::Slant, $exact))->roundedTo($reading));
    }
}
