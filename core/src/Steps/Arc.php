<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Turning;

/** A part of a ring that is round: from where the ring has come to, about a centre, by chords of equal angles. */
final readonly class Arc
{
    /** @param bool $isClockwise seen from above */
    public function __construct(public Spot $centre, public float $radius, public Spot $to, public bool $isClockwise, public int $chords)
    {
    }

    /** @return list<Point> the vertices after the one it begins at, its end the last */
    public function points(Point $from): array
    {
        $start = $from->minus($this->centre->is);
        $end = $this->to->is->minus($this->centre->is);
        $angle = atan2($start->cross($end), $start->dot($end));
        $angle += match (true) {
            $this->isClockwise && $angle > 0 => -2 * M_PI,
            ! $this->isClockwise && $angle < 0 => 2 * M_PI,
            default => 0.0,
        };

        return [...array_slice(Turning::about($this->centre->is, $from, rad2deg($angle), $this->chords), 0, -1), $this->to->is];
    }
}
