<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

use Gimbo\Core\Design\Design;

/** The work in one order: how each step's sheet is before it. */
final class Course
{
    /**
     * @param list<int> $order indexes of the design's steps
     * @return array<int, SheetState> by index, in that order: the step's own sheet
     */
    public static function of(Design $design, array $order): array
    {
        $before = [];
        foreach (self::ofAll($design, $order) as $i => $sheets) {
            $before[$i] = $sheets[$design->steps()[$i]->piece];
        }

        return $before;
    }

    /**
     * @param list<int> $order indexes of the design's steps
     * @return array<int, array<string, SheetState>> by index, in that order: every piece's sheet
     */
    public static function ofAll(Design $design, array $order): array
    {
        $sheets = [];
        foreach ($design->pieces as $piece) {
            $sheets[$piece->id] = SheetState::blank($piece->id, $piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres());
        }
        $before = [];
        foreach ($order as $i) {
            $step = $design->steps()[$i];
            $before[$i] = $sheets;
            $sheets[$step->piece] = $sheets[$step->piece]->after($step->ops);
        }

        return $before;
    }
}
