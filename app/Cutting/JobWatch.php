<?php

declare(strict_types=1);

namespace App\Cutting;

use App\Models\CuttingJob;
use App\Models\Moment;
use PDOException;

/** Keeps in the database how far a job is, which renews its lease, and reads there what the maker asks of it. */
final class JobWatch implements Watch
{
    /** How long a sender is believed to be at work without being heard of, and how often it is heard of, in seconds. */
    public const LEASE = 15;

    private const EVERY = 1.0;

    private float $written = 0.0;

    private int $through = -1;

    private int $sent = -1;

    /** @param callable(): bool $isEnding whether Gimbo itself ends */
    public function __construct(private readonly string $job, private readonly string $lease, private readonly mixed $isEnding)
    {
    }

    public function told(int $taken, int $done): Wish
    {
        if (($this->isEnding)()) {
            return Wish::End;
        }
        try {
            if ([$taken, $done] !== [$this->sent, $this->through] || microtime(true) - $this->written > self::EVERY) {
                $mine = CuttingJob::query()->whereKey($this->job)->where('lease', $this->lease)
                    ->update(['sent' => $taken, 'through' => $done, 'leased_until' => time() + self::LEASE, 'touched_at' => Moment::now()]);
                if ($mine === 0) {
                    // Taken away, or believed to be dead: in any case no longer this one's to send.
                    return Wish::Stop;
                }
                [$this->sent, $this->through, $this->written] = [$taken, $done, microtime(true)];
            }

            return Wish::tryFrom((string) CuttingJob::query()->whereKey($this->job)->value('asked')) ?? Wish::GoOn;
        } catch (PDOException) {
            // A store that cannot be written for a while is no reason to leave a sheet half cut.
            return Wish::GoOn;
        }
    }
}
