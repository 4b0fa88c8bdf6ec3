<?php

declare(strict_types=1);

namespace App\Store;

use RuntimeException;
use Throwable;

/** Why what is kept cannot be read or written; each code has its sentence, with what to do, in the language file. */
final class StoreTrouble extends RuntimeException
{
    /** What SQLite and PDO say, in their own words, for each (from their sources; they have no codes that PDO passes on whole). */
    private const SAID = [
        'store.full' => ['database or disk is full', 'No space left on device', 'disk quota exceeded'],
        'store.read-only' => ['attempt to write a readonly database', 'Read-only file system'],
        'store.damaged' => ['database disk image is malformed', 'file is not a database', 'no such table', 'malformed database schema', 'Unfinalized', 'NOT NULL constraint failed: sqlite_master'],
        'store.busy' => ['database is locked', 'database table is locked', 'database schema is locked'],
        'store.unreachable' => ['unable to open database file', 'does not exist', 'disk I/O error', 'No such file or directory', 'Permission denied'],
    ];

    /** @param array<string, string> $params */
    private function __construct(public readonly string $reason, public readonly array $params = [], ?Throwable $previous = null)
    {
        parent::__construct($reason, previous: $previous);
    }

    /** @param array<string, string> $params */
    public static function of(string $reason, array $params = [], ?Throwable $previous = null): self
    {
        return new self($reason, $params, $previous);
    }

    /** The fault of the store behind an error; null where it is another error. */
    public static function behind(Throwable $error): ?self
    {
        if ($error instanceof self) {
            return $error;
        }
        foreach (self::SAID as $reason => $sayings) {
            foreach ($sayings as $saying) {
                if (stripos($error->getMessage(), $saying) !== false) {
                    return new self($reason, [], $error);
                }
            }
        }

        return null;
    }
}
