<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Closure;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;

/** A drawing as it was read: how large its unit is, and its strokes once that is known. */
final readonly class Drawing
{
    /** Straight pieces of all its curves together. */
    private const MOST_PIECES = 100_000;

    /** What lies farther from a drawing's origin was not drawn by anybody: a kilometre. */
    private const FARTHEST_MM = 1e6;

    /**
     * @param ?float $scale millimetres of one of its units; null where it does not say
     * @param Closure(float): iterable<Stroke> $draw the strokes in millimetres, at so many millimetres to its unit
     */
    public function __construct(public ?float $scale, private Closure $draw)
    {
    }

    /**
     * @return list<Stroke>
     *
     * @throws InvalidDocument when there is more in it than an outline has
     */
    public function strokes(float $scale): array
    {
        [$strokes, $points] = [[], 0];
        foreach (($this->draw)($scale) as $stroke) {
            $points += count($stroke->points);
            OutlineFile::keepWithin($points, self::MOST_PIECES);
            foreach ($stroke->points as $point) {
                // Also where it is no number at all.
                abs($point->x) <= self::FARTHEST_MM && abs($point->y) <= self::FARTHEST_MM || throw InvalidDocument::at('/file', Reason::of('outline.far'));
            }
            $strokes[] = $stroke;
        }

        return $strokes;
    }
}
