<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;

/** A table as CSV (RFC 4180), its first line the names of its columns; read with commas, semicolons or tabs, whichever that line has. */
final class CsvTable
{
    private const MOST_ROWS = 2000;

    private const DELIMITERS = [',', ';', "\t"];

    /**
     * @param list<string> $columns
     * @param iterable<list<string>> $rows
     */
    public static function write(array $columns, iterable $rows): string
    {
        $file = self::memory();
        fputcsv($file, $columns, escape: '', eol: "\r\n");
        foreach ($rows as $row) {
            fputcsv($file, array_map(CsvCell::write(...), $row), escape: '', eol: "\r\n");
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /**
     * @param list<string> $known columns it must have
     * @return array{list<string>, list<array{line: int, cells: list<?string>}>} its columns, and the lines after them
     *
     * @throws InvalidDocument where it is no such table, or too long
     */
    public static function read(string $text, array $known): array
    {
        $text = (string) preg_replace('/^\x{FEFF}/u', '', mb_scrub($text, 'UTF-8'));
        $records = self::records($text, self::delimiter($text));
        $columns = array_map(fn (?string $name) => mb_strtolower(trim((string) $name)), $records[0]['cells'] ?? []);
        if (array_diff($known, $columns) !== []) {
            throw InvalidDocument::at('/csv', Reason::of('csv.columns', ['known' => $known]));
        }
        if (count($records) > self::MOST_ROWS) {
            throw InvalidDocument::at('/csv', Reason::of('csv.too-long', ['most' => self::MOST_ROWS]));
        }

        return [$columns, array_slice($records, 1)];
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
