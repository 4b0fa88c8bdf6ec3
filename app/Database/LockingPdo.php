<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;

/**
 * SQLite, where a transaction takes the lock for writing as it begins, and waits for it as long as the busy timeout says.
 *
 * PDO begins one without it: a transaction that reads first and writes then is refused at once when another wrote in
 * between, however long it might wait. See "BEGIN IMMEDIATE" in SQLite's documentation of transactions.
 */
final class LockingPdo extends PDO
{
    private bool $isIn = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE TRANSACTION');

        return $this->isIn = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT TRANSACTION');
        $this->isIn = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->isIn = false;
        try {
            $this->exec('ROLLBACK TRANSACTION');
        } catch (PDOException $error) {
            // A full disk and the like make SQLite roll back by itself ("Response To Errors Within A Transaction").
            str_contains($error->getMessage(), 'no transaction is active') || throw $error;
        }

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->isIn;
    }
}
