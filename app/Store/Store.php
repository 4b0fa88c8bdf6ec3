<?php

declare(strict_types=1);

namespace App\Store;

use App\Database\Reader;
use Illuminate\Support\Facades\DB;
use PDO;
use Throwable;

/**
 * The file everything is kept in, and what stands beside it: the backups, and the mark that it was found damaged.
 *
 * Nothing here writes to the file itself: what looks at it opens it for reading only, and past SQLite only where SQLite has
 * not opened it.
 */
final readonly class Store
{
    /** The first bytes of every SQLite 3 database, and where its header says how large it is (SQLite, "Database File Format"). */
    private const MAGIC = "SQLite format 3\0";

    /** Up to this size every page is looked at when Gimbo starts; beyond it only their order, in bytes. */
    private const LOOKED_AT_WHOLE = 256 * 1024 * 1024;

    /** While another writes its changes into the file, its header may be ahead of its length for a moment. */
    private const GLANCES = 20;

    public function __construct(public string $file)
    {
    }

    public static function current(): self
    {
        /** @var string $file */
        $file = config('database.connections.sqlite.database');

        return new self($file);
    }

    public function backups(): string
    {
        return preg_replace('/\.sqlite$/', '', $this->file).'-backups';
    }

    /** Whether it is in no file, as the tests' own is: nothing of it lies beside it then. */
    public function isInMemory(): bool
    {
        return $this->file === ':memory:';
    }

    private function damageMark(): string
    {
        return "$this->file.damaged";
    }

    /** From now on nothing is written to it, until a start finds it sound. */
    public function markDamaged(): void
    {
        is_file($this->file) && @touch($this->damageMark());
    }

    /**
     * A look that costs next to nothing, before each write: whether it is still there and as long as its header says.
     *
     * @throws StoreTrouble where it is not
     */
    public function glance(): void
    {
        if ($this->isInMemory()) {
            return;
        }
        is_file($this->file) || throw StoreTrouble::of('store.missing', ['file' => $this->file]);
        is_file($this->damageMark()) && throw StoreTrouble::of('store.damaged');
        for ($tries = self::GLANCES; ! $this->isWhole(); $tries--) {
            if ($tries === 0) {
                $this->markDamaged();
                throw StoreTrouble::of('store.damaged');
            }
            usleep(50_000);
        }
    }

    private function isWhole(): bool
    {
        clearstatcache(true, $this->file);
        if (self::isOpenHere()) {
            // A process that closes a file loses all its locks on it, SQLite's too (SQLite, "How To Corrupt An SQLite
            // Database File", 2.2): while it is open here, nothing else here may open it.
            return (int) @filesize($this->file) > 0;
        }
        $header = (string) @file_get_contents($this->file, length: 100);

        if (strlen($header) !== 100 || ! str_starts_with($header, self::MAGIC)) {
            return false;
        }
        [$page, $pages] = self::size($header);
        $there = intdiv((int) @filesize($this->file), $page);

        return $there >= $pages || array_diff(range($there + 1, $pages), $this->logged($page)) === [];
    }

    private static function isOpenHere(): bool
    {
        foreach (DB::getConnections() as $connection) {
            if ($connection->getRawPdo() instanceof PDO) {
                return true;
            }
        }

        return false;
    }

    /** @return array{int, int} how large a page is, in bytes, and how many the file has by its header; 0 where that does not say */
    private static function size(string $header): array
    {
        /** @var array{size: int} $page */
        $page = unpack('nsize', $header, 16);
        /** @var array{changed: int, pages: int} $count */
        $count = unpack('Nchanged/Npages', $header, 24);
        /** @var array{valid: int} $valid */
        $valid = unpack('Nvalid', $header, 92);

        return [$page['size'] === 1 ? 65536 : max(512, $page['size']), $valid['valid'] === $count['changed'] ? $count['pages'] : 0];
    }

    /**
     * The pages that still stand in the log and may not have found room in the file yet (SQLite, "WAL-mode File Format").
     *
     * @return list<int>
     */
    private function logged(int $page): array
    {
        $pages = [];
        $log = @fopen("$this->file-wal", 'rb');
        while ($log !== false && fseek($log, 32 + count($pages) * (24 + $page)) === 0 && strlen($frame = (string) fread($log, 24)) === 24) {
            /** @var array{number: int} $head */
            $head = unpack('Nnumber', $frame);
            $pages[] = $head['number'];
        }

        return $pages;
    }

    /**
     * Looks at all of it, writing nothing.
     *
     * @param list<string> $migrations the names of all this Gimbo knows
     * @return list<string> those that are still to be done; all of them where there is no database yet
     *
     * @throws StoreTrouble where it cannot be used
     */
    public function inspect(array $migrations): array
    {
        $folder = dirname($this->file);
        is_dir($folder) || throw StoreTrouble::of('store.no-folder', ['folder' => $folder]);
        if (! is_file($this->file) || filesize($this->file) === 0 && ! is_file("$this->file-wal")) {
            is_writable($folder) || throw StoreTrouble::of('store.read-only');

            return $migrations;
        }
        is_readable($this->file) || throw StoreTrouble::of('store.unreachable');
        if (! is_writable($this->file) || ! is_writable($folder)) {
            throw StoreTrouble::of('store.read-only');
        }
        try {
            $done = self::looked($this->file);
        } catch (Throwable $error) {
            throw StoreTrouble::behind($error) ?? $error;
        }
        $newer = array_diff($done, $migrations);
        $newer === [] || throw StoreTrouble::of('store.newer');
        is_file($this->damageMark()) && unlink($this->damageMark());

        return array_values(array_diff($migrations, $done));
    }

    /**
     * @return list<string> the migrations that were done to it
     *
     * @throws StoreTrouble where it is damaged, or is none of Gimbo's
     */
    public static function looked(string $file): array
    {
        $reader = Reader::of($file);
        $check = filesize($file) <= self::LOOKED_AT_WHOLE ? 'integrity_check' : 'quick_check';
        $reader->column("PRAGMA $check(1)") === ['ok'] || throw StoreTrouble::of('store.damaged');
        $tables = $reader->column("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'");
        if (! in_array('migrations', $tables, true)) {
            // Cut off before anything was set up, or something else altogether.
            $tables === [] || throw StoreTrouble::of('store.foreign', ['file' => $file]);

            return [];
        }

        return $reader->column('SELECT migration FROM migrations ORDER BY id');
    }
}
