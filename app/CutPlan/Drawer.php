<?php

declare(strict_types=1);

namespace App\CutPlan;

use App\Models\Entry;
use Gimbo\Core\CutPlan\CameOut;
use Gimbo\Core\CutPlan\Stock;
use Gimbo\Core\Library\Kind;
use Gimbo\Core\Library\StockReader;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\System;

/**
 * What there is of one paper, or of envelopes that were bought, and what becomes of it when a sheet of it is cut.
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
        return json_encode($paper->kind === Kind::Envelopes->value ? $paper->entry['count'] ?? 0 : self::rows($paper), self::TEXT);
    }

    /** @param list<Row>|int|string $there rows of a paper, how many envelopes, or either as text() gave it */
    public static function become(Entry $paper, array|int|string $there): void
    {
        $paper->update(['entry' => [$paper->kind === Kind::Envelopes->value ? 'count' : 'stock' => is_string($there) ? json_decode($there, true, 8, JSON_THROW_ON_ERROR) : $there] + $paper->entry]);
    }

    /** @return list<Stock> its id is `entry row` */
    public static function stock(Entry $paper): array
    {
        return array_map(fn (array $row): Stock => new Stock("$paper->id {$row['id']}", $paper->id, self::length($row['width']), self::length($row['height']), $row['count'], $row['offcut'], isset($row['roll'])), self::rows($paper));
    }

    /**
     * One sheet less of a row, and what is left of it put with the offcuts; of a roll what stays on it.
     *
     * @return list<Row>
     */
    public static function after(Entry $paper, string $row, CameOut $came): array
    {
        $rows = [];
        $place = '';
        $system = System::from(is_string($paper->entry['system'] ?? null) ? $paper->entry['system'] : 'imperial');
        foreach (self::rows($paper) as $one) {
            $isCut = $one['id'] === $row;
            $isCut && $place = $one['place'];
            $count = $one['count'] - ($isCut ? 1 : 0);
            if ($isCut && $came->rest !== null) {
                $rest = array_replace($one, ['height' => self::written($came->rest, $system), 'count' => 1]);
                $rows[] = $count === 0 ? $rest : array_replace($one, ['count' => $count]);
                $count === 0 || $rows[] = array_replace($rest, ['id' => StockReader::free([...array_column(self::rows($paper), 'id'), ...array_column($rows, 'id')])]);

                continue;
            }
            // A size of sheets is known also when there is none; an offcut is gone.
            if (! $one['offcut'] || $count > 0) {
                $rows[] = array_replace($one, ['count' => $count]);
            }
        }
        foreach ($came->offcuts as [$width, $height]) {
            [$w, $h] = array_map(fn (Length $side): string => self::written($side, $system), [$width, $height]);
            $more = ['id' => StockReader::free(array_column($rows, 'id')), 'width' => $w, 'height' => $h, 'count' => 1, 'offcut' => true, 'place' => $place];
            foreach ($rows as $i => $one) {
                if ($one['offcut'] && [$one['width'], $one['height']] === [$w, $h]) {
                    $rows[$i] = array_replace($one, ['count' => $one['count'] + 1]);

                    continue 2;
                }
            }
            $rows[] = $more;
        }

        return $rows;
    }

    private static function length(string $text): Length
    {
        return LengthParser::read($text, limit: LengthParser::limitOfRolls())->length;
    }

    /** In the paper's system where it is exact there, else as exactly as it can be said. */
    private static function written(Length $length, System $system): string
    {
        $text = LengthFormatter::for($system)->text($length);

        return self::length($text)->equals($length) ? $text : round($length->toMillimetres(), 3).' mm';
    }
}
