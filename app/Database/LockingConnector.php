<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector;
use SensitiveParameter;

/** Opens SQLite so that every transaction takes its lock first. */
final class LockingConnector extends SQLiteConnector
{
    /**
     * @param string $dsn
     * @param string $username
     * @param string $password
     * @param array<int, mixed> $options
     */
    protected function createPdoConnection($dsn, $username, #[SensitiveParameter] $password, $options): LockingPdo
    {
        return new LockingPdo($dsn, $username, $password, $options);
    }
}
