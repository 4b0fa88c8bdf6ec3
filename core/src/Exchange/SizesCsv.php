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

    private const MOST_ROWS = 2000;

    private const DELIMITERS = [',', ';', "\t"];

    /** @param list<array<string, mixed>> $entries */
    public static function write(array $entries): string
    {
        $file = self::memory();
        fputcsv($file, self::COLUMNS, escape: '', eol: "\r\n");
        foreach ($entries as $entry) {
            fputcsv($file, array_map(fn (string $column) => CsvCell::write(is_string($entry[$column] ?? null) ? $entry[$column] : ''), self::COLUMNS), escape: '', eol: "\r\n");
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /**
     * @param list<string> $taken names that are there already
     * @return list<array{line: int, entry: array<string, mixed>|null, problem: ?Problem}> one for each line with something on it
     *
     * @throws InvalidDocument where it is no such table at all
     */
    public static function read(string $text, array $taken = []): array
    {
        $text = (string) preg_replace('/^\x{FEFF}/u', '', mb_scrub($text, 'UTF-8'));
        $delimiter = self::delimiter($text);
        $records = self::records($text, $delimiter);
        $columns = array_map(fn (?string $name) => mb_strtolower(trim((string) $name)), $records[0]['cells'] ?? []);
        if (array_diff(self::COLUMNS, $columns) !== []) {
            throw InvalidDocument::at('/csv', Reason::of('csv.columns', ['known' => self::COLUMNS]));
        }
        if (count($records) > self::MOST_ROWS) {
            throw InvalidDocument::at('/csv', Reason::of('csv.too-long', ['most' => self::MOST_ROWS]));
        }
        $rows = [];
        $names = array_fill_keys(array_map(mb_strtolower(...), $taken), 0);
        foreach (array_slice($records, 1) as $record) {
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

    private static function delimiter(string $text): string
    {
        $first = strtok($text, "\r\n") ?: '';
        $counts = array_map(fn (string $delimiter) => substr_count($first, $delimiter), self::DELIMITERS);

        return self::DELIMITERS[(int) array_search(max($counts), $counts, true)];
    }

    /** @return list<array{line: int, cells: list<?string>}> */
    private static function records(string $text, string $delimiter): array
    {
        $file = self::memory();
        fwrite($file, (string) preg_replace('/\r\n?/', "\n", $text));
        rewind($file);
        $records = [];
        $line = 1;
        while (true) {
            $from = ftell($file);
            $cells = fgetcsv($file, separator: $delimiter, escape: '');
            if ($cells === false) {
                break;
            }
            $cells === [null] || $records[] = ['line' => $line, 'cells' => $cells];
            $to = ftell($file);
            fseek($file, (int) $from);
            $line += substr_count((string) fread($file, max(1, $to - $from)), "\n");
            fseek($file, (int) $to);
        }

        return $records;
    }

    /** @return resource */
    private static function memory()
    {
        $file = fopen('php://memory', 'r+');
        assert($file !== false);

        return $file;
    }
}
