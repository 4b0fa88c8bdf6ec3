<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Entry;
use Gimbo\Core\CutPlan\Part;
use Gimbo\Core\CutPlan\Stock;
use Gimbo\Core\Library\StockReader;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\System;

/**
 * What there is of one paper, and what becomes of it when a sheet of it is cut.
 *
 * @phpstan-import-type Row from StockReader
 */
final class Drawer
{
    private const TEXT = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    /** @return list<Row> */
    public static function rows(Entry $paper): array
    {
        /** @var list<Row> $rows */
        $rows = $paper->entry['stock'] ?? [];

        return $rows;
    }

    /** As it stands there, to the byte. */
    public static function text(Entry $paper): string
    {
        return json_encode(self::rows($paper), self::TEXT);
    }

    /** @param list<Row>|string $rows */
    public static function become(Entry $paper, array|string $rows): void
    {
        $paper->update(['entry' => ['stock' => is_string($rows) ? json_decode($rows, true, 8, JSON_THROW_ON_ERROR) : $rows] + $paper->entry]);
    }

    /** @return list<Stock> its id is `entry row` */
    public static function stock(Entry $paper): array
    {
        return array_map(fn (array $row): Stock => new Stock("$paper->id {$row['id']}", $paper->id, LengthParser::parse($row['width']), LengthParser::parse($row['height']), $row['count'], $row['offcut']), self::rows($paper));
    }

    /**
     * One sheet less of a row, and what is left of it put with the offcuts.
     *
     * @param list<array{Length, Length}> $offcuts
     * @return list<Row>
     */
    public static function after(Entry $paper, string $row, array $offcuts): array
    {
        $rows = [];
        $place = '';
        foreach (self::rows($paper) as $one) {
            $isCut = $one['id'] === $row;
            $isCut && $place = $one['place'];
            $count = $one['count'] - ($isCut ? 1 : 0);
            // A size of sheets is known also when there is none; an offcut is gone.
            if (! $one['offcut'] || $count > 0) {
                $rows[] = ['id' => $one['id'], 'width' => $one['width'], 'height' => $one['height'], 'count' => $count, 'offcut' => $one['offcut'], 'place' => $one['place']];
            }
        }
        $system = System::from(is_string($paper->entry['system'] ?? null) ? $paper->entry['system'] : 'imperial');
        foreach ($offcuts as [$width, $height]) {
            [$w, $h] = array_map(fn (Length $side): string => self::written($side, $system), [$width, $height]);
            $more = ['id' => StockReader::free(array_column($rows, 'id')), 'width' => $w, 'height' => $h, 'count' => 1, 'offcut' => true, 'place' => $place];
            foreach ($rows as $i => $one) {
                if ($one['offcut'] && [$one['width'], $one['height']] === [$w, $h]) {
                    $rows[$i] = ['id' => $one['id'], 'width' => $w, 'height' => $h, 'count' => $one['count'] + 1, 'offcut' => true, 'place' => $one['place']];

                    continue 2;
                }
            }
            $rows[] = $more;
        }

        return $rows;
    }

    /** In the paper's system where it is exact there, else as exactly as it can be said. */
    private static function written(Length $length, System $system): string
    {
        $text = LengthFormatter::for($system)->text($length);

        return LengthParser::parse($text)->equals($length) ? $text : round($length->toMillimetres(), 3).' mm';
    }

    /** @return list<array{Length, Length}> of a cut sheet, what is worth keeping */
    public static function offcuts(Part $tree): array
    {
        return array_values(array_map(fn (Part $leaf): array => [$leaf->width, $leaf->height], array_filter($tree->leaves(), fn (Part $leaf) => $leaf->isOffcut)));
    }
}
