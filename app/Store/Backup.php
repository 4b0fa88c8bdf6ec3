<?php

declare(strict_types=1);

namespace App\Store;

/** A copy of everything at one moment: a database of its own, one file. */
final readonly class Backup
{
    /**
     * @param string $name of its file, which is its id
     * @param string $madeAt ISO 8601, UTC
     * @param string $why daily, asked, before-update, before-restore or taken-in
     * @param int $size bytes
     */
    public function __construct(public string $path, public string $name, public string $madeAt, public string $why, public int $size)
    {
    }

    /** @return array{name: string, madeAt: string, why: string, size: int} */
    public function view(): array
    {
        return ['name' => $this->name, 'madeAt' => $this->madeAt, 'why' => $this->why, 'size' => $this->size];
    }
}
