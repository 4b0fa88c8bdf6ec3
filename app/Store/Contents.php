<?php

declare(strict_types=1);

namespace App\Store;

use App\Database\Reader;

/** Which tables hold what a maker keeps, in the order in which one may refer to another. */
final class Contents
{
    /** What goes into a backup's look, an archive and a restore. */
    public const KEPT = ['designs', 'revisions', 'points', 'ticks', 'entries', 'plans', 'sheet_cuts', 'cutting_jobs', 'deeds'];

    /** What a restore replaces; of the others, which are of the moment, it adds what is not there. */
    public const REPLACED = ['designs', 'revisions', 'points', 'ticks', 'entries', 'plans', 'sheet_cuts'];

    /** What only helps Gimbo along and can be made again. */
    public const CACHES = ['migrations'];

    /** @return list<string> those of them that this database has */
    public static function tables(Reader $reader): array
    {
        return array_values(array_intersect(self::KEPT, $reader->column("SELECT name FROM sqlite_master WHERE type = 'table'")));
    }

    /** @return list<string> */
    public static function columns(Reader $reader, string $table): array
    {
        return $reader->column("SELECT name FROM pragma_table_info('$table')");
    }
}
