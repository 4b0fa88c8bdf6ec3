<?php

declare(strict_types=1);

namespace App\Store;

use App\Database\Reader;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use SQLite3;
use Throwable;

/**
 * Dated copies of everything, made with SQLite's own online backup while Gimbo runs, looked into, and put back.
 *
 * A copy stands under its name only once it is whole and was found sound.
 */
final readonly class Backups
{
    /** How many are kept of each, the latest. */
    private const KEPT = ['daily' => 14, 'asked' => 20, 'before-update' => 10, 'before-restore' => 10, 'taken-in' => 10];

    private const NAME = '/^(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)Z-(\d{3})-(daily|asked|before-update|before-restore|taken-in)\.sqlite$/';

    public function __construct(private Store $store)
    {
    }

    public static function ofThis(): self
    {
        return new self(Store::current());
    }

    /** @return list<Backup> the latest first */
    public function all(): array
    {
        $found = [];
        foreach (is_dir($this->store->backups()) ? (scandir($this->store->backups(), SCANDIR_SORT_DESCENDING) ?: []) : [] as $name) {
            $path = $this->store->backups()."/$name";
            if (preg_match(self::NAME, $name, $match) === 1 && is_file($path)) {
                $found[] = new Backup($path, $name, "$match[1]T$match[2]:$match[3]:$match[4]Z", $match[6], (int) filesize($path));
            }
        }

        return $found;
    }

    /** @throws StoreTrouble where there is none of that name */
    public function find(string $name): Backup
    {
        foreach ($this->all() as $backup) {
            if ($backup->name === $name) {
                return $backup;
            }
        }
        throw StoreTrouble::of('store.no-backup');
    }

    /**
     * @param string $why one of those that are kept
     *
     * @throws StoreTrouble where it cannot be made
     */
    public function make(string $why): Backup
    {
        return $this->put($why, function (string $path): void {
            $from = new SQLite3($this->store->file, SQLITE3_OPEN_READONLY);
            $from->busyTimeout(10_000);
            $to = new SQLite3($path);
            try {
                $from->backup($to) || throw StoreTrouble::of('store.not-backed-up');
                // One file that needs nothing beside it.
                $to->exec('PRAGMA journal_mode = DELETE');
            } finally {
                $to->close();
                $from->close();
            }
        });
    }

    /**
     * A copy that somebody else writes.
     *
     * @param callable(string): void $write told where
     *
     * @throws StoreTrouble where it cannot be kept
     */
    public function put(string $why, callable $write): Backup
    {
        $folder = $this->store->backups();
        is_dir($folder) || @mkdir($folder, 0o700, true) || is_dir($folder) || throw StoreTrouble::of('store.no-backup-folder', ['folder' => $folder]);
        foreach (glob("$folder/*.part*") ?: [] as $left) {
            filemtime($left) < time() - 3600 && @unlink($left);
        }
        $part = "$folder/".bin2hex(random_bytes(6)).'.part';
        try {
            try {
                $write($part);
                Store::looked($part);
            } catch (Throwable $error) {
                throw StoreTrouble::behind($error) ?? $error;
            }
            self::flush($part);
            $path = $this->free($why);
            rename($part, $path) || throw StoreTrouble::of('store.not-backed-up');
        } finally {
            array_map(fn (string $file) => @unlink($file), glob("$part*") ?: []);
        }
        $this->prune($why);

        return $this->find(basename($path));
    }

    private function free(string $why): string
    {
        while (true) {
            $now = microtime(true);
            $path = sprintf('%s/%s-%03d-%s.sqlite', $this->store->backups(), gmdate('Y-m-d\TH-i-s\Z', (int) $now), (int) (fmod($now, 1) * 1000), $why);
            if (! file_exists($path)) {
                return $path;
            }
            usleep(1000);
        }
    }

    private static function flush(string $path): void
    {
        $file = fopen($path, 'r+');
        if ($file !== false) {
            fsync($file);
            fclose($file);
        }
    }

    private function prune(string $why): void
    {
        $same = array_values(array_filter($this->all(), fn (Backup $one) => $one->why === $why));
        foreach (array_slice($same, self::KEPT[$why] ?? 10) as $old) {
            @unlink($old->path);
        }
    }

    /** Whether something was kept since the last daily one, and that is a day old. */
    public function isDue(): bool
    {
        foreach ($this->all() as $backup) {
            if ($backup->why === 'daily') {
                return strtotime($backup->madeAt) < time() - 86_400 && $this->changedAt() > strtotime($backup->madeAt);
            }
        }

        return true;
    }

    private function changedAt(): int
    {
        clearstatcache();

        return max((int) @filemtime($this->store->file), (int) @filemtime($this->store->file.'-wal'));
    }

    /**
     * What is in it, writing nothing.
     *
     * @return array{designs: list<array{id: string, name: string, group: string, savedAt: string, drawing: string, isAway: bool}>, counts: array<string, int>} drawings as JSON
     *
     * @throws StoreTrouble where it is damaged
     */
    public function look(Backup $backup): array
    {
        try {
            Store::looked($backup->path);
            $reader = Reader::of($backup->path);
            $designs = [];
            foreach ($reader->rows('SELECT * FROM designs WHERE variant_of IS NULL ORDER BY deleted_at IS NOT NULL, saved_at DESC, id DESC') as $row) {
                $designs[] = ['id' => (string) $row['id'], 'name' => (string) $row['name'], 'group' => (string) $row['group'], 'savedAt' => (string) $row['saved_at'], 'drawing' => (string) $row['drawing'], 'isAway' => $row['deleted_at'] !== null];
            }
            $counts = [];
            foreach (Contents::tables($reader) as $table) {
                $counts[$table] = (int) $reader->column("SELECT count(*) FROM \"$table\"")[0];
            }

            return ['designs' => $designs, 'counts' => $counts];
        } catch (Throwable $error) {
            throw StoreTrouble::behind($error) ?? $error;
        }
    }

    /**
     * Makes everything what it was then, whole or not at all; what there is now is kept as a backup first.
     *
     * @return Backup of what there was
     *
     * @throws StoreTrouble where the backup cannot be used; nothing is changed then
     */
    public function restore(Backup $backup): Backup
    {
        $before = $this->make('before-restore');
        $copy = tempnam(sys_get_temp_dir(), 'gimbo-restore');
        try {
            copy($backup->path, (string) $copy) || throw StoreTrouble::of('store.unreachable');
            SetUp::migrate((string) $copy);
            $this->takeOver((string) $copy);
        } catch (Throwable $error) {
            throw StoreTrouble::behind($error) ?? $error;
        } finally {
            array_map(fn (string $file) => @unlink($file), glob("$copy*") ?: []);
        }

        return $before;
    }

    private function takeOver(string $from): void
    {
        $connection = DB::connection();
        $connection->statement('ATTACH DATABASE ? AS old', [$from]);
        try {
            $connection->transaction(function (Connection $connection): void {
                $reader = new Reader($connection->getPdo());
                // Nobody stands at a machine for what waited then.
                $connection->statement("UPDATE old.cutting_jobs SET state = 'failed', reason = 'cutter.not-begun', lease = NULL WHERE state IN ('waiting', 'sending')");
                $tables = Contents::tables($reader);
                $connection->statement('PRAGMA defer_foreign_keys = ON');
                foreach (array_reverse(array_intersect($tables, Contents::REPLACED)) as $table) {
                    $connection->statement("DELETE FROM main.\"$table\"");
                }
                foreach ($tables as $table) {
                    $columns = implode(', ', array_map(fn (string $name) => "\"$name\"", Contents::columns($reader, $table)));
                    $connection->statement("INSERT OR IGNORE INTO main.\"$table\" ($columns) SELECT $columns FROM old.\"$table\"");
                }
            });
        } finally {
            $connection->statement('DETACH DATABASE old');
        }
    }
}
