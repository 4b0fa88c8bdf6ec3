<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

/** A round edge as the chords that stand for it: vertices at equal angles about a centre. */
final class Turning
{
    /**
     * @param float $degrees anticlockwise
     * @return list<Point> the vertices after the one it begins at, its end the last
     */
    public static function about(Point $centre, Point $from, float $degrees, int $chords): array
    {
        $start = $from->minus($centre);
        $points = [];
        for ($i = 1; $i <= $chords; $i++) {
            [$cos, $sin] = [cos(deg2rad($degrees * $i / $chords)), sin(deg2rad($degrees * $i / $chords))];
            $points[] = $centre->plus(new Point($start->x * $cos - $start->y * $sin, $start->x * $sin + $start->y * $cos));
        }

        return $points;
    }
}
