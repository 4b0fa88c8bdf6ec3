<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Cutting\Watch;
use App\Cutting\Wish;

/** Notes what it is told, and wishes what it was told to wish the n-th time. */
final class Watching implements Watch
{
    public int $taken = 0;

    public int $done = 0;

    public int $times = 0;

    private bool $isOver = false;

    /** @param array<int, Wish> $wishes by the time */
    public function __construct(private readonly array $wishes = [])
    {
    }

    public function told(int $taken, int $done): Wish
    {
        [$this->taken, $this->done] = [$taken, $done];

        $wish = $this->wishes[++$this->times] ?? Wish::GoOn;
        $this->isOver = $this->isOver || $wish === Wish::Stop;

        return $this->isOver ? Wish::Stop : $wish;
    }
}
