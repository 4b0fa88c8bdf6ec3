<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\AwayOp;

/** How wide and high a part of a sheet is, as a maker says it. */
final class PartSize
{
    /** What is less is a hair. */
    private const HAIR_MM = 1.0;

    /**
     * Of what comes off: along the sheet, or along its diagonals where it lies on its corner; a hair that is cut inside a score is not counted.
     *
     * @return array{float, float} mm
     */
    public static function of(AwayOp $op, SheetState $state, GridSheet|TurnedLayout $layout): array
    {
        $hairs = self::hairs($op);
        if (count($hairs) === 2) {
            [$one, $two] = $hairs;
            $size = $state->lines[$one]->on->crossing($state->lines[$two]->on)->minus($op->ring->corners()[0]->is);

            return [abs($size->x), abs($size->y)];
        }

        return self::along($op->ring->points, $layout instanceof TurnedLayout);
    }

    /** @return list<string> the scores beside which a part is cut a hair off */
    public static function hairs(AwayOp $op): array
    {
        $hairs = [];
        foreach ($op->ring->corners() as $corner) {
            foreach ([$corner->one, $corner->two] as $line) {
                self::isHair($line) && $line->line !== null && $hairs[$line->line] = $line->line;
            }
        }

        return array_values($hairs);
    }

    public static function isHair(Line $line): bool
    {
        return $line->off !== null && $line->line !== null && $line->off < self::HAIR_MM;
    }

    /**
     * Along the sheet or along its diagonals, as it is smaller.
     *
     * @param list<Point> $ring
     * @return array{float, float} mm
     */
    public static function smallest(array $ring): array
    {
        [$straight, $turned] = [self::along($ring, false), self::along($ring, true)];

        return $turned[0] * $turned[1] < $straight[0] * $straight[1] - 1e-6 ? $turned : $straight;
    }

    /**
     * @param list<Point> $ring
     * @return array{float, float}
     */
    private static function along(array $ring, bool $isTurned): array
    {
        $xs = array_map(fn (Point $p) => $isTurned ? ($p->x - $p->y) * M_SQRT1_2 : $p->x, $ring);
        $ys = array_map(fn (Point $p) => $isTurned ? ($p->x + $p->y) * M_SQRT1_2 : $p->y, $ring);

        return [max($xs ?: [0.0]) - min($xs ?: [0.0]), max($ys ?: [0.0]) - min($ys ?: [0.0])];
    }
}
