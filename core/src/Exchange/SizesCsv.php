<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Problem;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Library\EntryReader;
use Gimbo\Core\Library\Kind;

/**
 * A maker's own sizes as CSV (RFC 4180): `name,kind,width,height`, lengths with their unit.
 *
 * Read with commas, semicolons or tabs, whichever the first line has; every line that is wrong is named with what is
 * wrong in it, the others are read.
 */
final class SizesCsv
{
    private const COLUMNS = ['name', 'kind', 'width', 'height'];

    /** @param list<array<string, mixed>> $entries */
    public static function write(array $entries): string
    {
        return CsvTable::write(self::COLUMNS, array_map(fn (array $entry): array => array_map(fn (string $column): string => is_string($entry[$column] ?? null) ? $entry[$column] : '', self::COLUMNS), $entries));
    }

    /**
     * @param list<string> $taken names that are there already
     * @return list<array{line: int, entry: array<string, mixed>|null, problem: ?Problem}> one for each line with something on it
     *
     * @throws InvalidDocument where it is no such table at all
     */
    public static function read(string $text, array $taken = []): array
    {
        [$columns, $records] = CsvTable::read($text, self::COLUMNS);
        $rows = [];
        $names = array_fill_keys(array_map(mb_strtolower(...), $taken), 0);
        foreach ($records as $record) {
            $row = self::row($record, $columns);
            $name = $row['entry']['name'] ?? null;
            if (is_string($name) && isset($names[mb_strtolower($name)])) {
                $row = ['entry' => null, 'problem' => new Problem('/name', Reason::of('csv.twice', ['text' => Reason::quote($name)]))] + $row;
            } elseif (is_string($name)) {
                $names[mb_strtolower($name)] = $record['line'];
            }
            $rows[] = $row;
        }

        return $rows;
    }

    /**
     * @param array{line: int, cells: list<?string>} $record
     * @param list<string> $columns
     * @return array{line: int, entry: array<string, mixed>|null, problem: ?Problem}
     */
    private static function row(array $record, array $columns): array
    {
        $line = $record['line'];
        if (count($record['cells']) !== count($columns)) {
            return ['line' => $line, 'entry' => null, 'problem' => new Problem('', Reason::of('csv.cells', ['count' => count($record['cells']), 'most' => count($columns)]))];
        }
        $cells = array_combine($columns, $record['cells']);
        $fields = ['name' => CsvCell::read(trim((string) $cells['name'])), 'kind' => mb_strtolower(trim((string) $cells['kind']))];
        foreach (['width', 'height'] as $length) {
            $typed = trim((string) $cells[$length]);
            // A file says its units: a bare number could be either.
            if (preg_match('/^[\d.,\/ ]+$/', $typed) === 1) {
                return ['line' => $line, 'entry' => null, 'problem' => new Problem("/$length", Reason::of('length.unit-missing', ['text' => Reason::quote($typed)]))];
            }
            $fields[$length] = $typed;
        }
        try {
            $isMetric = preg_match('/mm|cm/i', $fields['width']) === 1;

            return ['line' => $line, 'entry' => EntryReader::read(Kind::Sizes, array_filter($fields, fn (string $cell) => $cell !== '') + ['system' => $isMetric ? 'metric' : 'imperial']), 'problem' => null];
        } catch (InvalidDocument $error) {
            return ['line' => $line, 'entry' => null, 'problem' => $error->problems[0]];
        }
    }
}
