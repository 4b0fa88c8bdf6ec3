<?php

declare(strict_types=1);

/*
 * Holds two lists of results against one another: `php compare.php SPECS BEFORE AFTER`, then for each make and part how many
 * differ and the first lines that do. Exit status 1 where any does.
 */

[, $specs, $before, $after] = $argv;
[$specs, $before, $after] = [file($specs), file($before), file($after)];
count($before) === count($specs) && count($after) === count($specs) || exit("not every spec has its result\n");
$differ = [];
$held = 0;
foreach ($specs as $line => $json) {
    $make = json_decode($json, true, 16, JSON_THROW_ON_ERROR)['make'] ?? '?';
    is_string($make) || $make = '?';
    [$one, $other] = [json_decode($before[$line], true, 4, JSON_THROW_ON_ERROR), json_decode($after[$line], true, 4, JSON_THROW_ON_ERROR)];
    foreach ($one as $part => $hash) {
        $held++;
        ($other[$part] ?? null) === $hash || $differ["$make $part"][] = $line;
    }
}
printf("%d results held against %d parts of before\n", count($specs), $held);
foreach ($differ as $what => $lines) {
    printf("%-26s %6d differ, first: %s\n", $what, count($lines), implode(' ', array_slice($lines, 0, 6)));
}
exit($differ === [] ? 0 : 1);
