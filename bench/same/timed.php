<?php

declare(strict_types=1);

/*
 * `php timed.php ROOT`: microseconds the core under a folder takes for each make, the median of several rounds over the same
 * specs: to settle what is planned (before: to size a request), for all steps more and less, and for a whole result.
 * `php timed.php BEFORE AFTER` runs both in turn and prints the ratios.
 */

if (isset($argv[2])) {
    $rounds = [[], []];
    for ($round = 0; $round < 5; $round++) {
        foreach ([$argv[1], $argv[2]] as $i => $root) {
            $rounds[$i][] = json_decode((string) shell_exec('php '.escapeshellarg(__FILE__).' '.escapeshellarg($root)), true, 4, JSON_THROW_ON_ERROR);
        }
    }
    $median = function (int $i, string $make, string $what) use ($rounds): float {
        $some = array_map(fn (array $round) => $round[$make][$what], $rounds[$i]);
        sort($some);

        return $some[intdiv(count($some), 2)];
    };
    printf("%-18s %22s %22s %22s\n", 'µs', 'settling', 'steps more and less', 'whole result');
    foreach (array_keys($rounds[0][0]) as $make) {
        printf('%-18s', $make);
        foreach (['settle', 'alternatives', 'result'] as $what) {
            [$before, $after] = [$median(0, $make, $what), $median(1, $make, $what)];
            printf(' %6.0f → %5.0f %5.1f ×', $before, $after, $before / $after);
        }
        echo "\n";
    }
    exit;
}

use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Specs;

require "$argv[1]/core/tests/bootstrap.php";

const SPECS = 60;

$sizing = Sizing::ofEverything();
$isPlanned = method_exists($sizing, 'settle');
$times = [];
foreach ($sizing->makes->ids() as $make) {
    mt_srand(5);
    $specs = array_map(fn () => Specs::random($make), range(1, SPECS));
    $requests = array_map($sizing->request(...), $specs);
    $plans = $isPlanned ? array_map(fn ($request) => $sizing->plan($request), $requests) : [];
    $runs = [
        'settle' => fn (int $i) => $isPlanned ? $sizing->settle($plans[$i]) : $sizing->makes->find($make)->design($requests[$i]),
        'alternatives' => fn (int $i) => $sizing->alternatives($specs[$i]),
        'result' => fn (int $i) => json_encode(DesignWriter::write($sizing->size($specs[$i]))),
    ];
    foreach ($runs as $what => $run) {
        $taken = [];
        for ($round = 0; $round < 4; $round++) {
            $begin = hrtime(true);
            for ($i = 0; $i < SPECS; $i++) {
                $run($i);
            }
            $taken[] = (hrtime(true) - $begin) / 1e3 / SPECS;
        }
        $times[$make][$what] = min($taken);
    }
}
echo json_encode($times), "\n";
