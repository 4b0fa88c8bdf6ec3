<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

/** One face turning on the hinge it hangs on: when, and by how much. */
final readonly class Bend
{
    /**
     * @param int $from index of the vertex at which the parent, walked anticlockwise, comes to the hinge
     * @param int $stage the stage in which it turns: at moment $stage it lies flat, at $stage + 1 it is folded
     * @param non-empty-list<float> $degrees at equal shares of the stage, the first 0; positive valley, negative mountain
     */
    public function __construct(public int $face, public int $parent, public int $from, public int $to, public int $stage, public array $degrees)
    {
    }

    /** How far the stage has come at a moment, from 0 to 1. */
    public function share(float $moment): float
    {
        return max(0.0, min(1.0, $moment - $this->stage));
    }

    /** How much of its place above or below other paper the face has taken: all of it once it is half way over. */
    public function lifted(float $moment): float
    {
        return min(1.0, 2 * $this->share($moment));
    }

    /** Straight between the angles that are given. */
    public function degreesAt(float $moment): float
    {
        $along = $this->share($moment) * (count($this->degrees) - 1);
        $before = (int) floor($along);
        $next = $this->degrees[$before + 1] ?? $this->degrees[$before];

        return $this->degrees[$before] + ($next - $this->degrees[$before]) * ($along - $before);
    }
}
