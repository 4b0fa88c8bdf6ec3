<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;

/** What to cut from paper, as CSV (RFC 4180): one line a piece, its sheet in the design's system and in millimetres. */
final class CuttingList
{
    private const COLUMNS = ['design', 'piece', 'count', 'width', 'height', 'width_mm', 'height_mm', 'paper'];

    /** @param list<array{string, Design}> $designs by name */
    public static function write(array $designs): string
    {
        $metric = LengthFormatter::for(System::Metric);
        $rows = [];
        foreach ($designs as [$name, $design]) {
            foreach ($design->pieces as $piece) {
                [$sheet, $cut] = [$piece->sheet, $piece->figures->cutText()];
                $rows[] = [
                    $name, $piece->id, (string) $design->inAll($piece->count), $cut['width'], $cut['height'],
                    rtrim($metric->measured($sheet->width, 2), ' m'), rtrim($metric->measured($sheet->height, 2), ' m'),
                    $piece->paper()->name ?? $piece->paper()->id,
                ];
            }
        }

        return CsvTable::write(self::COLUMNS, $rows);
    }
}
