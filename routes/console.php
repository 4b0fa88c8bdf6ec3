<?php

declare(strict_types=1);

use App\Cutting\CutterTrouble;
use App\Database\Reader;
use App\Models\CuttingJob;
use App\Models\DoneRequest;
use App\Models\JobState;
use App\Models\Moment;
use App\Shelf\Drafting;
use App\Store\Archive;
use App\Store\Backup;
use App\Store\Backups;
use App\Store\SetUp;
use App\Store\Store;
use App\Store\StoreRescue;
use App\Store\StoreTrouble;
use App\Words\Words;
use Database\Seeders\DemoSeeder;
use Gimbo\Core\Error\Reason;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** Does it, or says what ails the store, in the words the screen has for it. */
$orSay = function (Command $command, callable $do): int {
    try {
        $do();

        return 0;
    } catch (Throwable $error) {
        $trouble = StoreTrouble::behind($error) ?? throw $error;
        $command->getOutput()->getErrorStyle()->writeln(app(Words::class)->of(Reason::of($trouble->reason, $trouble->params)));

        return 1;
    }
};

Artisan::command('gimbo:open', function () use ($orSay): int {
    /** @var Command $this */
    return $orSay($this, function (): void {
        SetUp::run(Store::current());
        DB::transaction(function (): void {
            app(DemoSeeder::class)->run(app(Drafting::class));
            // A request is sent again within minutes, never after weeks.
            DoneRequest::query()->where('done_at', '<', gmdate('Y-m-d', time() - 14 * 86_400))->delete();
            // Nobody stands at the machine for what was left when Gimbo was stopped: the maker sends it again.
            CuttingJob::query()->where('state', JobState::Waiting)->update(['state' => JobState::Failed, 'reason' => CutterTrouble::notBegun()->reason]);
        });
    });
})->purpose('Looks at the database, brings it up to date, and puts the demo on an empty shelf');

Artisan::command('gimbo:store {do : backup, list, look, restore, out or in} {of? : the name of a backup, or a file}', function (Archive $archive, Words $words) use ($orSay): int {
    /** @var Command $this */
    return $orSay($this, function () use ($archive, $words): void {
        [$do, $of] = [$this->argument('do'), $this->argument('of')];
        $of = is_string($of) ? $of : '';
        $backups = Backups::ofThis();
        $line = fn (Backup $one): string => $words->sentence('backup.line', ['name' => $one->name, 'why' => $words->sentence("backup.$one->why"), 'size' => (string) intdiv($one->size + 1023, 1024)]);
        match ($do) {
            'backup' => $this->line($line($backups->make('asked'))),
            'list' => array_map(fn (Backup $one) => $this->line($line($one)), $backups->all()),
            'look' => array_map(fn (array $design) => $this->line($design['savedAt'].'  '.$design['name']), $backups->look($backups->find(basename($of)))['designs']),
            'restore' => $this->line($words->sentence('backup.restored', ['before' => StoreRescue::restore(Store::current(), $backups->find(basename($of)), getenv('GIMBO_RUNS') === '1')])),
            'out' => (function () use ($archive, $of): void {
                $file = fopen($of === '' ? 'php://stdout' : "$of.part", 'wb') ?: throw StoreTrouble::of('store.unreachable');
                foreach ($archive->lines(Reader::of(Store::current()->file), Moment::now()) as $text) {
                    fwrite($file, $text) === strlen($text) || throw StoreTrouble::of('store.full');
                }
                fclose($file);
                $of === '' || rename("$of.part", $of);
            })(),
            'in' => $this->line($line($backups->put('taken-in', function (string $path) use ($archive, $of): void {
                $archive->read(fopen($of, 'rb') ?: throw StoreTrouble::of('store.unreachable'), $path);
            }))),
            default => throw StoreTrouble::of('store.usage'),
        };
    });
})->purpose('Backups, and everything as one file: bin/keep says how');
