<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;

/**
 * A piece as HP-GL for a cutting machine: pen 1 scores, pen 2 cuts, one plotter unit 0.025 mm (from memory).
 *
 * Instructions of the HP-GL set (IN, SP, PU, PD), absolute coordinates, origin at the sheet's lower left corner. Scores
 * come first and the outline last, as Paths orders them; the pen is put away at the end. A turned piece lies a quarter
 * turn to the left, for a bed that is narrow.
 */
final class HpglFile
{
    public const UNITS_PER_MM = 40;

    public const SCORING = 1;

    public const CUTTING = 2;

    public static function write(Piece $piece, bool $isTurned = false): string
    {
        $job = "IN;\n";
        $held = 0;
        foreach (Paths::of($piece->pattern()) as $path) {
            $pen = $path->layer->isCut() ? self::CUTTING : self::SCORING;
            if ($held !== $pen) {
                $held = $pen;
                $job .= "SP$pen;\n";
            }
            $points = $path->isClosed ? [...$path->points, $path->points[0]] : $path->points;
            if ($isTurned) {
                $points = array_map(fn (Point $p) => new Point($piece->sheet->height->toMillimetres() - $p->y, $p->x), $points);
            }
            $job .= 'PU'.self::at($points[0]).';PD'.implode(',', array_map(self::at(...), array_slice($points, 1))).";\n";
        }

        return $job."PU0,0;SP0;\n";
    }

    private static function at(Point $point): string
    {
        return (int) round($point->x * self::UNITS_PER_MM).','.(int) round($point->y * self::UNITS_PER_MM);
    }
}
