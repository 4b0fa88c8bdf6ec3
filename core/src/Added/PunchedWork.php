<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\RingKind;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/** What is round or an opening, with the punch or the die that gives exactly that; by hand where there is none. Nothing is said where nobody has said which there are. */
final class PunchedWork
{
    /** What is said of a step for which there is no punch or die of its size. */
    public const BY_HAND = ['round-by-hand', 'cut-round-by-hand', 'beyond-the-punch', 'no-such-die'];

    public static function with(WorkStep $step, Figures $figures): WorkStep
    {
        $punches = $figures->request->tools->punches;
        $away = array_values(array_filter($step->ops, fn (Op $op) => $op instanceof AwayOp));
        if ($away === []) {
            return $step;
        }
        if ($step->with === With::CornerPunch) {
            $radius = $away[0]->ring->arcs()[0]->radius ?? 0.0;
            $nearest = $punches->corner(Length::nearestTo($radius));
            $has = $nearest !== null && abs($nearest->toMillimetres() - $radius) < 0.05;

            return match (true) {
                $nearest === null => $step,
                ! $has => $step->byOther(With::Scissors, 'round-by-hand', $nearest),
                $figures->outfit->piece($step->piece) === null => $step->byOther(With::CornerPunch, 'fold-the-neighbour-away'),
                default => $step,
            };
        }
        if ($away[0]->what === Waste::Notch && $step->do === Deed::Round) {
            // Half a circle, at the edge.
            return $punches->takesCircle(2 * ($away[0]->ring->arcs()[0]->radius ?? 0.0), 0.0) ? $step->byOther(With::CirclePunch) : $step;
        }
        if ($step->do !== Deed::Hole && $away[0]->what !== Waste::Round) {
            return $step;
        }
        $points = array_merge(...array_map(fn (AwayOp $op): array => $op->ring->points, $away));
        [$left, $right, $low, $high] = Rings::bounds($points);
        [$wide, $tall] = [$right - $left, $high - $low];
        if ($step->do !== Deed::Hole) {
            // A disc: its square with all four corners off.
            $kind = $figures->outfit->piece($step->piece)?->kind;
            $isDisc = count($away) === 4 && ($kind?->isDisc === true || $kind?->isRim === true);

            return match (true) {
                ! $isDisc || $punches->circles === [] => $step,
                $punches->takesCircle($wide, 0.0) => $step->byOther(With::CirclePunch),
                default => $step->byOther(With::Scissors, 'cut-round-by-hand', $punches->circle(Length::nearestTo($wide))),
            };
        }
        $kind = RingKind::of($away[0]->ring);
        $sheet = $figures->piece($step->piece)->sheet;
        $toEdge = Worked::toEdge(new Point(($left + $right) / 2, ($low + $high) / 2), $sheet->width->toMillimetres(), $sheet->height->toMillimetres());

        return match (true) {
            $kind === RingKind::Circle && $punches->takesCircle($wide, $toEdge) => $step->byOther(With::CirclePunch),
            $kind === RingKind::Circle && $punches->takesCircle($wide, 0.0) => $step->byOther(With::Scissors, 'beyond-the-punch', $punches->circleReach),
            $kind === RingKind::Circle && $punches->circles !== [] => $step->byOther(With::Scissors, 'cut-round-by-hand', $punches->circle(Length::nearestTo($wide))),
            $kind === RingKind::Oval && $punches->hasDie('oval', $wide, $tall), in_array($kind, [RingKind::Rectangle, RingKind::Rounded], true) && $punches->hasDie('rect', $wide, $tall) => $step->byOther(With::WindowDie),
            $punches->dies !== [] && $kind !== RingKind::Circle => $step->byOther(With::Scissors, 'no-such-die'),
            default => $step,
        };
    }
}
