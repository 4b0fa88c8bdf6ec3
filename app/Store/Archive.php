<?php

declare(strict_types=1);

namespace App\Store;

use App\Database\Reader;
use App\Models\Design;
use App\Shelf\Draft;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\DesignDocument;
use Gimbo\Core\Exchange\ThumbnailWriter;
use Gimbo\Core\Sizing;
use JsonException;
use PDO;
use Throwable;

/**
 * Everything that is kept as one file, out and in, line by line.
 *
 * JSON Lines: the first line says what it is, `{"format": "gimbo-everything", "version": 1, "madeAt": …, "rows": {table: count}}`;
 * each other one is a row, `{"in": table, "row": {column: value}}`, with what is JSON in a column as JSON; the last one
 * is `{"end": number of rows}`. Tables come in the order in which one may refer to another.
 */
final readonly class Archive
{
    public const FORMAT = 'gimbo-everything';

    public const VERSION = 1;

    /** What is JSON in the database, by table. */
    private const JSON = [
        'designs' => ['document', 'drawing', 'summary'], 'revisions' => ['document'], 'points' => ['document'], 'ticks' => [], 'entries' => ['entry'],
        'plans' => ['asked', 'found', 'hand'], 'sheet_cuts' => ['sheet', 'pieces', 'found'],
        'cutting_jobs' => ['cutter', 'drawing'], 'deeds' => ['answer'],
    ];

    /** A job for a large machine is some hundred kilobytes; bytes. */
    private const LONGEST_LINE = 8 * 1024 * 1024;

    private const DEEPEST = 64;

    private const TEXT = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    public function __construct(private Sizing $sizing)
    {
    }

    /** @return iterable<string> the lines of it */
    public function lines(Reader $reader, string $madeAt): iterable
    {
        $tables = Contents::tables($reader);
        $counts = array_combine($tables, array_map(fn (string $table) => (int) $reader->column("SELECT count(*) FROM \"$table\"")[0], $tables));
        yield json_encode(['format' => self::FORMAT, 'version' => self::VERSION, 'madeAt' => $madeAt, 'rows' => (object) $counts], self::TEXT)."\n";
        foreach ($tables as $table) {
            foreach ($reader->rows("SELECT * FROM \"$table\" ORDER BY rowid") as $row) {
                yield '{"in":'.json_encode($table, self::TEXT).',"row":{'.implode(',', array_map(
                    fn (string $column, mixed $value) => json_encode($column, self::TEXT).':'.(in_array($column, self::JSON[$table], true) && is_string($value) && json_decode($value) !== null ? $value : json_encode($value, self::TEXT)),
                    array_keys($row), $row,
                ))."}}\n";
            }
        }
        yield json_encode(['end' => array_sum($counts)], self::TEXT)."\n";
    }

    /**
     * Reads such a file into a database of its own.
     *
     * @param resource $from
     * @return list<string> the names of designs that this Gimbo cannot make anything of; they are taken in as they are
     *
     * @throws StoreTrouble where it is no such file, a newer one, or not whole; the database is to be thrown away then
     */
    public function read($from, string $database): array
    {
        touch($database);
        SetUp::migrate($database);
        $pdo = new PDO("sqlite:$database", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $pdo->exec('PRAGMA foreign_keys = ON');
        $pdo->beginTransaction();
        $known = array_combine(Contents::KEPT, array_map(fn (string $table) => Contents::columns(new Reader($pdo), $table), Contents::KEPT));
        [$number, $unreadable, $rows] = [0, [], 0];
        $end = null;
        while (is_string($line = fgets($from, self::LONGEST_LINE))) {
            $number++;
            $end === null || throw StoreTrouble::of('store.torn-file', ['line' => (string) $number]);
            $said = self::decoded($line, $number);
            if ($number === 1) {
                self::isOurs($said);
            } elseif (array_key_exists('end', $said)) {
                $end = $said['end'];
            } else {
                [$table, $row] = [$said['in'] ?? null, $said['row'] ?? null];
                is_string($table) && is_array($row) || throw StoreTrouble::of('store.torn-file', ['line' => (string) $number]);
                isset($known[$table]) && array_diff(array_keys($row), $known[$table]) === [] || throw StoreTrouble::of('store.newer-file');
                /** @var array<string, mixed> $row */
                $name = $table === 'designs' ? $this->resized($row) : null;
                $name === null || $unreadable[] = $name;
                self::put($pdo, $table, $row, $number);
                $rows++;
            }
        }
        $end === $rows || throw StoreTrouble::of('store.torn-file', ['line' => (string) ($number + 1)]);
        $pdo->commit();

        return $unreadable;
    }

    /**
     * @return array<mixed>
     *
     * @throws StoreTrouble where it is no line of such a file
     */
    private static function decoded(string $line, int $number): array
    {
        try {
            $said = json_decode($line, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            $said = null;
        }
        if (! is_array($said)) {
            throw $number === 1 ? StoreTrouble::of('store.foreign-file') : StoreTrouble::of('store.torn-file', ['line' => (string) $number]);
        }

        return $said;
    }

    /** @param array<mixed> $first */
    private static function isOurs(array $first): void
    {
        ($first['format'] ?? null) === self::FORMAT || throw StoreTrouble::of('store.foreign-file');
        is_int($first['version'] ?? null) && $first['version'] >= 1 || throw StoreTrouble::of('store.foreign-file');
        $first['version'] <= self::VERSION || throw StoreTrouble::of('store.newer-file');
    }

    /**
     * What the shelf shows of a design is worked out anew, so that nothing of it has to be believed.
     *
     * @param array<string, mixed> $row
     * @return ?string its name where this Gimbo cannot make anything of it
     */
    private function resized(array &$row): ?string
    {
        try {
            $document = DesignDocument::read($row['document'] ?? null, $this->sizing);
            $draft = new Draft(new Design, $document, $this->sizing->size($document->spec));
            $row = ['name' => $document->name, 'document' => $document->toArray(), 'drawing' => ThumbnailWriter::write($draft->sized->pieces[0]), 'summary' => $draft->summary()] + $row;

            return null;
        } catch (InvalidDocument) {
            return is_string($row['name'] ?? null) ? $row['name'] : '';
        }
    }

    /** @param array<string, mixed> $row */
    private static function put(PDO $pdo, string $table, array $row, int $number): void
    {
        $values = array_map(fn (mixed $value) => is_array($value) ? json_encode($value, self::TEXT) : $value, $row);
        try {
            $columns = implode(', ', array_map(fn (string $name) => "\"$name\"", array_keys($values)));
            $pdo->prepare("INSERT INTO \"$table\" ($columns) VALUES (".implode(', ', array_fill(0, count($values), '?')).')')->execute(array_values($values));
        } catch (Throwable $error) {
            throw StoreTrouble::of('store.torn-file', ['line' => (string) $number], $error);
        }
    }
}
