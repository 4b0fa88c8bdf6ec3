<?php

declare(strict_types=1);

namespace Gimbo\Core\Tool;

use Gimbo\Core\Measure\Length;

/** An edge punch along an edge: whole repeats, and what is left over shared by the two ends. */
final readonly class Repeats
{
    /** @param Length $end of plain edge before the first repeat and after the last */
    private function __construct(public int $count, public Length $end)
    {
    }

    public static function along(Length $edge, Length $repeat): self
    {
        $count = intdiv($edge->ticks, $repeat->ticks);

        return new self($count, $edge->minus($repeat->times($count))->timesNearest(1, 2));
    }
}
