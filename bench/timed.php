<?php

declare(strict_types=1);

/*
 * Runs `bin/gimbo size --each FILE` three times and prints lines a second (median) and the largest memory of the process.
 */

$command = array_slice($argv, 1);
$lines = substr_count((string) file_get_contents((string) end($command)), "\n");
$rates = [];
for ($run = 0; $run < 3; $run++) {
    $start = hrtime(true);
    $process = proc_open($command, [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], STDERR], $pipes);
    is_resource($process) || exit(1);
    $peak = 0;
    do {
        $status = proc_get_status($process);
        preg_match('/VmHWM:\s+(\d+)/', (string) @file_get_contents("/proc/{$status['pid']}/status"), $match);
        $peak = max($peak, (int) ($match[1] ?? 0));
        usleep(2000);
    } while ($status['running']);
    $rates[] = $lines / ((hrtime(true) - $start) / 1e9);
}
sort($rates);
printf("%6d designs: %.0f a second, peak memory %.1f MiB\n", $lines, $rates[1], $peak / 1024);
