<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Closure;

/** A drawing as it was read: how large its unit is, and its strokes once that is known. */
final readonly class Drawing
{
    /**
     * @param ?float $scale millimetres of one of its units; null where it does not say
     * @param Closure(float): list<Stroke> $draw the strokes in millimetres, at so many millimetres to its unit
     */
    public function __construct(public ?float $scale, private Closure $draw)
    {
    }

    /** @return list<Stroke> */
    public function strokes(float $scale): array
    {
        return ($this->draw)($scale);
    }
}
