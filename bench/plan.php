<?php

declare(strict_types=1);

/*
 * Cutting plans of what is known to come out of so many sheets: sheets cut at random into pieces, shuffled. Against a plain shelf
 * heuristic (the tallest first, on the lowest shelf that has room: next-fit decreasing height, Coffman et al., SIAM J. Computing 9, 1980,
 * here first fit) in the same run. CASES of each, 200 where nothing is said.
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/../core/tests/CutPlan/Constructed.php';

use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\CutPlan\Planner;
use Gimbo\Core\Tests\CutPlan\Constructed;

$cases = max(1, (int) ($argv[1] ?? 200));
foreach ([[8, 0], [12, 0], [12, 3], [100, 0], [100, 1], [300, 0]] as [$pieces, $kerf]) {
    $more = $most = $shelves = $over = 0;
    $times = [];
    for ($case = 0; $case < $cases; $case++) {
        mt_srand(1000 * $pieces + $case);
        $sheet = [[210, 297], [305, 305], [136, 176], [216, 279]][$case % 4];
        $sheets = $pieces <= 12 ? mt_rand(1, 5) : mt_rand(intdiv($pieces, 20), intdiv($pieces, 3));
        $written = Constructed::job($sheets, $sheet, $pieces, $kerf);
        $parts = array_map(fn (array $piece): array => [(int) $piece['width'], (int) $piece['height']], $written['pieces']);
        $job = JobReader::read($written);
        $from = hrtime(true);
        $used = Planner::plan($job)->used()['s'];
        $times[] = (hrtime(true) - $from) / 1e6;
        $more += $used - $sheets;
        $most = max($most, $used - $sheets);
        $over += $used > $sheets + ($pieces <= 12 ? 0 : max(1, (int) (0.05 * $sheets))) ? 1 : 0;
        $shelves += shelf($parts, $sheet, $kerf) - $sheets;
    }
    sort($times);
    printf(
        "%3d pieces, kerf %d mm, %d cases: %d sheets more than they came from in all, %d at the most in one, in %d more than allowed (shelves: %d); median %.0f ms, 95th percentile %.0f ms, longest %.0f ms\n",
        $pieces, $kerf, $cases, $more, $most, $over, $shelves, $times[intdiv(count($times), 2)], $times[(int) (0.95 * (count($times) - 1))], end($times),
    );
}
// What a longer search saves where not everything is known to fit: twelve sizes, some to be turned, on two sizes of sheet.
[$quick, $longer, $better, $times] = [0, 0, 0, []];
for ($case = 0; $case < intdiv($cases + 4, 5); $case++) {
    mt_srand(500 + $case);
    $pieces = array_map(fn (int $n): array => ['id' => "p$n", 'width' => mt_rand(40, 160).' mm', 'height' => mt_rand(40, 200).' mm', 'count' => mt_rand(1, 20), 'turn' => mt_rand(0, 3) > 0], range(1, 12));
    $found = Planner::found(JobReader::read(['pieces' => $pieces, 'stock' => [['id' => 's', 'width' => '305 mm', 'height' => '305 mm', 'count' => 500], ['id' => 't', 'width' => '210 mm', 'height' => '297 mm', 'count' => 10]]]));
    $first = array_sum($found->plan()->used());
    $from = hrtime(true);
    for ($slice = 1; $slice <= 60 && ! $found->isLeast(); $slice++) {
        $found = Planner::further($found, $slice);
    }
    $times[] = (hrtime(true) - $from) / 1e9;
    $last = array_sum($found->plan()->used());
    [$quick, $longer, $better] = [$quick + $first, $longer + $last, $better + ($last < $first ? 1 : 0)];
}
sort($times);
printf("a longer search, %d jobs of twelve sizes: %d sheets instead of %d, fewer in %d of them; median %.1f s\n", count($times), $longer, $quick, $better, $times[intdiv(count($times), 2)]);
// How much of what is cut off a roll is pieces.
foreach ([100, 300, 1000] as $many) {
    mt_srand(5);
    $pieces = array_map(fn (int $n): array => ['id' => "p$n", 'width' => mt_rand(40, 200).' mm', 'height' => mt_rand(40, 200).' mm'], range(1, $many));
    $job = JobReader::read(['pieces' => $pieces, 'stock' => [['id' => 'r', 'width' => '600 mm', 'height' => '25 m', 'count' => 9]]]);
    $from = hrtime(true);
    $plan = Planner::plan($job);
    $taken = array_sum(array_map(fn ($sheet): float => $sheet->times * 600 * ($sheet->tree->height->toMillimetres() - ($sheet->rest()?->height->toMillimetres() ?? 0.0)), $plan->sheets));
    printf("%d pieces of as many sizes off a roll of 600 mm: %.1f %% of it pieces, %.1f s\n", $many, 100 * array_sum(array_map(fn (array $piece): int => (int) $piece['width'] * (int) $piece['height'], $pieces)) / $taken, (hrtime(true) - $from) / 1e9);
}
mt_srand(7);
$job = JobReader::read(Constructed::job(120, [305, 305], 1000, 0));
$from = hrtime(true);
$used = Planner::plan($job)->used()['s'];
printf("1000 pieces from 120 sheets: %d sheets, %.1f s, %.0f MiB at the most\n", $used, (hrtime(true) - $from) / 1e9, memory_get_peak_usage(true) / 1048576);

/**
 * @param list<array{int, int}> $parts
 * @param array{int, int} $sheet
 */
function shelf(array $parts, array $sheet, int $kerf): int
{
    [$width, $height] = $sheet;
    $turned = array_map(fn (array $part): array => max($part) <= $width && min($part) <= $height ? [max($part), min($part)] : [min($part), max($part)], $parts);
    usort($turned, fn (array $a, array $b) => $b[1] <=> $a[1]);
    $sheets = [];
    foreach ($turned as [$w, $h]) {
        foreach ($sheets as $s => [$used, $shelves]) {
            foreach ($shelves as $n => [$tall, $long]) {
                if ($h <= $tall && $long + $w <= $width) {
                    $sheets[$s][1][$n][1] += $w + $kerf;

                    continue 3;
                }
            }
            if ($used + $h <= $height) {
                $sheets[$s][1][] = [$h, $w + $kerf];
                $sheets[$s][0] += $h + $kerf;

                continue 2;
            }
        }
        $sheets[] = [$h + $kerf, [[$h, $w + $kerf]]];
    }

    return count($sheets);
}
