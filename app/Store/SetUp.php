<?php

declare(strict_types=1);

namespace App\Store;

use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Brings a database up to date: looked at first, backed up first, and all of it or nothing. */
final readonly class SetUp
{
    /** @return list<string> the names of all migrations */
    public static function migrations(): array
    {
        return array_map(fn (string $path) => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
    }

    /**
     * @return bool whether anything had to be brought up to date
     *
     * @throws StoreTrouble where it cannot be used; it is left as it is then
     */
    public static function run(Store $store): bool
    {
        $due = $store->inspect(self::migrations());
        if ($due === []) {
            return false;
        }
        try {
            if (is_file($store->file) && filesize($store->file) > 0) {
                (new Backups($store))->make('before-update');
            } elseif (! $store->isInMemory()) {
                touch($store->file);
            }
            self::migrate($store->file);
        } catch (Throwable $error) {
            throw StoreTrouble::behind($error) ?? $error;
        }

        return true;
    }

    /** Does what is still to be done to the database at that path, in one transaction. */
    public static function migrate(string $path): void
    {
        config(['database.connections.set-up' => ['database' => $path, 'journal_mode' => null] + (array) config('database.connections.sqlite')]);
        DB::purge('set-up');
        /** @var Migrator $migrator */
        $migrator = app('migrator');
        $migrator->usingConnection('set-up', function () use ($migrator): void {
            $migrator->repositoryExists() || $migrator->getRepository()->createRepository();
            DB::connection('set-up')->transaction(fn () => $migrator->run([database_path('migrations')]));
        });
        DB::purge('set-up');
    }
}
