<?php

declare(strict_types=1);

namespace App\Cutting;

/** Who is told how far a job is, and says whether it shall go on. */
interface Watch
{
    /**
     * @param int $taken bytes of the job that the machine has
     * @param int $done bytes of it that it said it is through with
     */
    public function told(int $taken, int $done): Wish;
}
