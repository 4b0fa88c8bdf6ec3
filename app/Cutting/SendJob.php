<?php

declare(strict_types=1);

namespace App\Cutting;

use App\Drafting;
use App\Models\CuttingJob;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Sends one cutting job to its machine, once: what fails is for the maker to send again, for half a sheet may be cut. */
final class SendJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 0;

    public function __construct(private readonly string $id)
    {
    }

    public function handle(): void
    {
        $isMine = CuttingJob::query()->whereKey($this->id)->where('state', JobState::Waiting)->update(['state' => JobState::Sending, 'sent' => 0, 'reason' => null, 'touched_at' => Drafting::now()]) === 1;
        $job = $isMine ? CuttingJob::query()->find($this->id) : null;
        if ($job === null) {
            return;
        }
        $say = function (array $change): void {
            CuttingJob::query()->whereKey($this->id)->update($change + ['touched_at' => Drafting::now()]);
        };
        try {
            $cutter = Cutter::at($job->cutter['host'], $job->cutter['port'], (float) config('gimbo.cutter_patience'));
            $progress = fn (int $sent) => $say(['sent' => $sent]);
            $job->cutter['answers'] ? $cutter->send($job->instructions, $progress) : $cutter->sendUnasked($job->instructions, $progress);
            $say(['state' => JobState::Done]);
        } catch (CutterTrouble $trouble) {
            $say(['state' => JobState::Failed, 'reason' => $trouble->reason]);
        }
    }
}
