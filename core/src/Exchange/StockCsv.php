<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Problem;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Library\StockReader;
use Gimbo\Core\Measure\Unit;

/**
 * What there is of every paper as CSV: `paper,width,height,count,offcut,place`, lengths with their unit, `offcut` yes or no;
 * where there are rolls, a column `roll` more, yes or no.
 *
 * Taken in whole or not at all: every line that is wrong is named.
 *
 * @phpstan-import-type Row from StockReader
 */
final class StockCsv
{
    private const COLUMNS = ['paper', 'width', 'height', 'count', 'offcut', 'place'];

    /** @param array<string, list<Row>> $papers by name */
    public static function write(array $papers): string
    {
        $rows = [];
        $hasRolls = array_filter($papers, fn (array $of) => array_filter($of, fn (array $row) => isset($row['roll'])) !== []) !== [];
        foreach ($papers as $name => $of) {
            foreach ($of as $row) {
                $rows[] = [(string) $name, $row['width'], $row['height'], (string) $row['count'], $row['offcut'] ? 'yes' : 'no', $row['place'], ...($hasRolls ? [isset($row['roll']) ? 'yes' : 'no'] : [])];
            }
        }

        return CsvTable::write([...self::COLUMNS, ...($hasRolls ? ['roll'] : [])], $rows);
    }

    private static function isYes(string $cell): bool
    {
        return in_array(mb_strtolower($cell), ['yes', '1', 'true'], true);
    }

    /**
     * @param list<string> $names of the papers there are
     * @return array<string, list<Row>> by the paper's name
     *
     * @throws InvalidDocument with every line that is wrong, at `/csv/LINE`
     */
    public static function read(string $text, array $names): array
    {
        [$columns, $records] = CsvTable::read($text, self::COLUMNS);
        [$rows, $problems] = [[], []];
        foreach ($records as ['line' => $line, 'cells' => $cells]) {
            if (count($cells) !== count($columns)) {
                $problems[] = new Problem("/csv/$line", Reason::of('csv.cells', ['count' => count($cells), 'most' => count($columns)]));

                continue;
            }
            $row = array_map(fn (?string $cell): string => CsvCell::read(trim((string) $cell)), array_combine($columns, $cells));
            if (! in_array($row['paper'], $names, true)) {
                $problems[] = new Problem("/csv/$line", Reason::of('csv.no-paper', ['text' => Reason::quote($row['paper'])]));

                continue;
            }
            // A file says its units: a bare number could be either.
            $bare = array_filter([$row['width'], $row['height']], fn (string $typed) => preg_match('/^[\d.,\/ ]+$/', $typed) === 1);
            $in = new FieldReader(['stock' => [['width' => $row['width'], 'height' => $row['height'], 'count' => preg_match('/^\d{1,6}$/', $row['count']) === 1 ? (int) $row['count'] : $row['count'], 'offcut' => self::isYes($row['offcut']), 'roll' => self::isYes($row['roll'] ?? ''), 'place' => $row['place']]]]);
            try {
                $bare === [] || throw InvalidDocument::at('', Reason::of('length.unit-missing', ['text' => Reason::quote(array_values($bare)[0])]));
                $read = StockReader::read($in, Unit::Millimetre);
                $in->throwProblems();
                $rows[$row['paper']][] = ['id' => StockReader::free(array_column($rows[$row['paper']] ?? [], 'id'))] + $read[0];
            } catch (InvalidDocument $error) {
                $problems[] = new Problem("/csv/$line", $error->problems[0]->reason);
            }
        }
        if ($problems !== []) {
            throw InvalidDocument::because($problems);
        }

        return $rows;
    }
}
