<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;
use PDOStatement;

/** Asks a database without writing to it. */
final readonly class Reader
{
    public function __construct(private PDO $pdo)
    {
    }

    /** Opened for reading only. */
    public static function of(string $file): self
    {
        return new self(new PDO("sqlite:$file", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY, PDO::ATTR_TIMEOUT => 5]));
    }

    /**
     * @return list<string> the first column
     *
     * @throws PDOException
     */
    public function column(string $sql): array
    {
        /** @var list<string> */
        return array_map(fn (mixed $value) => is_scalar($value) ? (string) $value : '', $this->asked($sql)->fetchAll(PDO::FETCH_COLUMN));
    }

    /**
     * @return iterable<array<string, string|int|float|null>> by column
     *
     * @throws PDOException
     */
    public function rows(string $sql): iterable
    {
        $rows = $this->asked($sql);
        while (is_array($row = $rows->fetch(PDO::FETCH_ASSOC))) {
            /** @var array<string, string|int|float|null> $row */
            yield $row;
        }
    }

    private function asked(string $sql): PDOStatement
    {
        $answer = $this->pdo->query($sql);

        return $answer === false ? throw new PDOException("It does not answer: $sql") : $answer;
    }
}
