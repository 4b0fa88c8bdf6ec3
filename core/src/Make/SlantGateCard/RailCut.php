<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlantGateCard;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Setting;
use Gimbo\Core\Tool\ToolKind;

/**
 * A slanted cut off a corner, as it is set on the trimmer: one end on the rail, the corner a reading k away from it.
 *
 * A line through a point at l from the corner along one edge, with the corner k away from the line, meets the other edge
 * at l·k/√(l² − k²) from the corner; so k = l·m/√(l² + m²) for a meeting point at m. Lengths in millimetres.
 */
final class RailCut
{
    private const MOST_OF_EDGE = 0.9;

    private const MOST_OF_RAIL = 0.99;

    /**
     * The setting nearest to the one that would meet the other edge at the wanted place, and never beyond nine tenths of
     * that edge; a trimmer too coarse for that cuts nothing off, and there is no such setting.
     *
     * @param float $along how far the point on the rail lies from the corner
     * @param float $edge how long the other edge is
     * @return float how far from the corner the cut meets the other edge as it is set
     */
    public static function plan(Planning $planning, string $piece, string $name, float $along, float $wanted, float $edge): float
    {
        $step = $planning->tools->cut;
        $reading = fn (float $other): Length => Length::nearestTo($along * $other / hypot($along, $other));
        $exact = $reading($wanted);
        $set = Length::min(
            $step->nearest($exact),
            $step->down($reading($edge * self::MOST_OF_EDGE)),
            $step->down(Length::atMost($along * self::MOST_OF_RAIL)),
        );
        $set = $planning->given($piece, $name) ?? $set;

        return $set->isPositive() ? self::meets($planning->set($piece, $name, ToolKind::Trimmer, $exact, $set, MakeUp::of(new Term(TermKind::Slant, $exact))), $along, $edge) : 0.0;
    }

    /**
     * How far from the corner a cut meets the other edge, where the point on the rail really lies; nothing where none is made.
     *
     * @param float $along how far that point lies from the corner
     * @param float $edge how long the other edge is
     *
     * @throws NothingLeft where the cut misses that edge, or takes nothing off
     */
    public static function meets(?Setting $setting, float $along, float $edge): float
    {
        if ($setting === null) {
            return 0.0;
        }
        $k = $setting->at->toMillimetres();
        // The corner is nearer to the cut than to the point on the rail.
        $setting->at->isPositive() && $k < $along || throw NothingLeft::of('flap');
        $other = $along * $k / sqrt($along ** 2 - $k ** 2);

        return $other < $edge ? $other : throw NothingLeft::of('flap');
    }
}
