<?php

declare(strict_types=1);

namespace App\Cutting;

use App\Models\CuttingJob;
use App\Models\JobState;
use App\Models\Moment;
use PDOException;

/** Sends the waiting jobs of one machine, one after another; only one on this computer does that for a machine. */
final readonly class Sender
{
    /** How long it is tried to keep how a job ended, in seconds. */
    private const KEEPS_TRYING = 60;

    public function __construct(private string $host, private int $port)
    {
    }

    /**
     * @param callable(): bool $isEnding whether Gimbo itself ends
     * @return bool false where another sends to that machine
     */
    public function run(callable $isEnding): bool
    {
        // Also another Gimbo's: the machine is the same. The lock goes with its process, however that ends.
        $lock = fopen(sys_get_temp_dir().'/gimbo-machine-'.sha1(gethostbyname($this->host).":$this->port").'.lock', 'c');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            return false;
        }
        while (! $isEnding() && ($job = $this->claimed()) !== null) {
            $this->send($job, $isEnding);
        }

        return flock($lock, LOCK_UN);
    }

    /** The next one that waits, now this sender's. */
    private function claimed(): ?CuttingJob
    {
        $lease = bin2hex(random_bytes(16));
        foreach (CuttingJob::query()->where('state', JobState::Waiting)->where('cutter->host', $this->host)->where('cutter->port', $this->port)->orderBy('made_at')->orderBy('id')->pluck('id') as $id) {
            $isMine = CuttingJob::query()->whereKey($id)->where('state', JobState::Waiting)
                ->update(['state' => JobState::Sending, 'lease' => $lease, 'leased_until' => time() + JobWatch::LEASE, 'asked' => null, 'reason' => null, 'touched_at' => Moment::now()]) === 1;
            if ($isMine) {
                return CuttingJob::query()->where('lease', $lease)->first();
            }
        }

        return null;
    }

    /** @param callable(): bool $isEnding */
    private function send(CuttingJob $job, callable $isEnding): void
    {
        $watch = new JobWatch($job->id, (string) $job->lease, $isEnding);
        try {
            $cutter = Cutter::at($this->host, $this->port, (float) config('gimbo.cutter_patience'));
            $strokes = Strokes::of($job->instructions);
            $wish = $job->cutter['answers'] ? $cutter->send($strokes, $job->begins, $watch) : $cutter->sendUnasked($strokes, $job->begins, $watch);
            $this->ended($job, match ($wish) {
                Wish::GoOn => ['state' => JobState::Done],
                Wish::End => ['state' => JobState::Failed, 'reason' => CutterTrouble::interrupted()->reason],
                default => ['state' => JobState::Stopped],
            });
        } catch (CutterTrouble $trouble) {
            $this->ended($job, ['state' => JobState::Failed, 'reason' => $trouble->reason]);
        }
    }

    /** @param array<string, mixed> $how */
    private function ended(CuttingJob $job, array $how): void
    {
        $end = microtime(true) + self::KEEPS_TRYING;
        do {
            try {
                CuttingJob::query()->whereKey($job->id)->where('lease', $job->lease)->update($how + ['lease' => null, 'asked' => null, 'touched_at' => Moment::now()]);

                return;
            } catch (PDOException) {
                sleep(1);
            }
        } while (microtime(true) < $end);
    }
}
