<?php

declare(strict_types=1);

/*
 * Hands on what is named and prints how long it took, how much memory the process had at most, and how large it is:
 * `handout`, `template` (of the demo design with the most steps), `template-100` (a job of 100 pieces), `export-200` (an
 * archive of 200 designs). One a process, so that the memory is its own.
 */

use App\HandOn\Bundle;
use App\HandOn\Handout;
use App\HandOn\HandoutPdf;
use App\HandOn\PaperFormat;
use App\HandOn\TemplatePdf;
use App\Models\Design;
use App\Shelf\Draft;
use App\Shelf\Drafting;
use App\Words\Words;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$drafts = Design::query()->get()->map(fn (Design $design): Draft => $app->make(Drafting::class)->draft($design))->sortByDesc(fn (Draft $draft) => count($draft->sized->steps()))->values()->all();
$largest = $drafts[0];
$pieces = $largest->sized->pieces;
$hundred = array_slice(array_merge(...array_fill(0, (int) ceil(100 / count($pieces)), $pieces)), 0, 100);
$twoHundred = (function () use ($drafts): Generator {
    for ($i = 0; $i < 200; $i++) {
        yield $drafts[$i % count($drafts)];
    }
})();
$words = $app->make(Words::class);
[$what, $paper] = [$argv[1] ?? '', PaperFormat::A4];

$began = hrtime(true);
$size = match ($what) {
    'handout' => strlen(HandoutPdf::write($app->make(Handout::class)->html($largest, $paper), $paper, 'Bench')),
    'template' => strlen(TemplatePdf::write($pieces, $largest->sized, $paper, $words, 'Bench')),
    'template-100' => strlen(TemplatePdf::write($hundred, $largest->sized, $paper, $words, 'Bench')),
    'export-200' => (int) filesize($app->make(Bundle::class)->zip($twoHundred, $paper)),
    default => exit("handout, template, template-100 or export-200\n"),
};
printf("%-13s %6.0f ms, peak memory %5.1f MiB, %6.0f kB\n", $what, (hrtime(true) - $began) / 1e6, memory_get_peak_usage(true) / 2 ** 20, $size / 1000);
