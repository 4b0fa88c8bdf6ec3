<?php

declare(strict_types=1);

namespace App\Console;

use App\Cutting\CutterTrouble;
use App\Cutting\Sender;
use App\Models\CuttingJob;
use App\Models\JobState;
use App\Store\Backups;
use App\Store\Store;
use App\Store\StoreTrouble;
use Illuminate\Console\Command;
use Symfony\Component\Process\Process;
use Throwable;

/** What goes on beside the pages while Gimbo runs: a sender for each machine that has something to cut, and the daily backup. */
final class KeepCommand extends Command
{
    protected $signature = 'gimbo:keep {--send= : only send what waits for the machine at HOST:PORT}';

    protected $description = 'Sends what is to be cut and makes the daily backup, as long as Gimbo runs';

    private const PACE_US = 250_000;

    /** How often it is looked whether a backup is due, and how long a sender may take to lift the blade when Gimbo ends, in seconds. */
    private const LOOKS_EVERY = 60;

    private const LIFTS_WITHIN = 8;

    private const LARGEST_LOG = 2 * 1024 * 1024;

    private bool $isEnding = false;

    private int $parent = 0;

    /** @var array<string, Process> by HOST:PORT */
    private array $senders = [];

    public function handle(): int
    {
        $this->parent = posix_getppid();
        $this->trap([SIGTERM, SIGINT, SIGHUP], function (): void {
            $this->isEnding = true;
        });
        $only = $this->option('send');
        if (is_string($only) && preg_match('/^(.+):(\d{1,5})$/', $only, $match) === 1) {
            return (new Sender($match[1], (int) $match[2]))->run($this->isEnding(...)) ? 0 : 1;
        }
        $looked = 0.0;
        while (! $this->isEnding()) {
            try {
                $this->startSenders();
                if (microtime(true) - $looked > self::LOOKS_EVERY) {
                    $looked = microtime(true);
                    $this->tidy();
                }
            } catch (Throwable $error) {
                // A store that is full or locked for a while is tried again; anything else is written down, once a look.
                StoreTrouble::behind($error) === null && report($error);
                sleep(1);
            }
            usleep(self::PACE_US);
        }
        $this->endSenders();

        return 0;
    }

    /** Also where whoever started it is gone without a word. */
    private function isEnding(): bool
    {
        return $this->isEnding || posix_getppid() !== $this->parent;
    }

    private function startSenders(): void
    {
        $this->senders = array_filter($this->senders, fn (Process $sender) => $sender->isRunning());
        foreach (CuttingJob::query()->where('state', JobState::Waiting)->get(['id', 'cutter', 'state']) as $job) {
            $at = $job->cutter['host'].':'.$job->cutter['port'];
            if (! isset($this->senders[$at])) {
                $this->senders[$at] = new Process([PHP_BINARY, 'artisan', 'gimbo:keep', "--send=$at"], base_path(), timeout: null);
                $this->senders[$at]->disableOutput()->start();
            }
        }
    }

    private function endSenders(): void
    {
        foreach ($this->senders as $sender) {
            $sender->isRunning() && $sender->signal(SIGTERM);
        }
        $end = microtime(true) + self::LIFTS_WITHIN;
        while (microtime(true) < $end && array_filter($this->senders, fn (Process $sender) => $sender->isRunning()) !== []) {
            usleep(50_000);
        }
    }

    private function tidy(): void
    {
        CuttingJob::query()->where('state', JobState::Sending)->where('leased_until', '<', time())
            ->update(['state' => JobState::Failed, 'reason' => CutterTrouble::interrupted()->reason, 'lease' => null]);
        foreach (glob(storage_path('logs/*.log')) ?: [] as $log) {
            (int) @filesize($log) > self::LARGEST_LOG && $this->shorten($log);
        }
        $backups = new Backups(Store::current());
        Store::current()->glance();
        $backups->isDue() && $backups->make('daily');
    }

    /** The last of it stays; it is shortened in place, for those who have it open. */
    private function shorten(string $log): void
    {
        $last = (string) file_get_contents($log, offset: max(0, (int) filesize($log) - intdiv(self::LARGEST_LOG, 4)));
        file_put_contents($log, substr($last, (int) strpos($last, "\n") + 1));
    }
}
