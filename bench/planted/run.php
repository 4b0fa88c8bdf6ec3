<?php

declare(strict_types=1);

/*
 * Plants the faults of a list one after another in a copy, and runs the tests that must find each: `php run.php core|screens [NAME]`.
 * Prints those that nobody found, and exits 1 if there are any; a fault whose place is not there any more is one of them.
 * `php run.php places` plants nothing: it looks whether every fault of both lists has its place, once, and a name of its own.
 */

$what = $argv[1] ?? 'core';
$only = $argv[2] ?? '';
$root = dirname(__DIR__, 2);
if ($what === 'places') {
    $wrong = [];
    foreach (['core' => 'core/src', 'screens' => 'resources/js/features/table'] as $list => $folder) {
        $faults = require __DIR__."/$list.php";
        // A name that stands twice hides the fault that has it first.
        $names = preg_match_all('/^    (?:\'|").*(?:\'|") => \[/m', (string) file_get_contents(__DIR__."/$list.php"));
        $names === count($faults) || $wrong[] = "$list: of $names names only ".count($faults).' are different';
        foreach ($faults as $name => [$file, $find]) {
            substr_count((string) @file_get_contents("$root/$folder/$file"), $find) === 1 || $wrong[] = "$list: $name (its place in $file is not there once)";
        }
    }
    array_map(fn (string $one) => print("$one\n"), $wrong);
    exit($wrong === [] ? 0 : 1);
}
$work = sys_get_temp_dir().'/gimbo-planted-'.getmypid();
mkdir("$work/core", recursive: true);
register_shutdown_function(fn () => passthru('rm -rf '.escapeshellarg($work)));
// The autoloader looks beside itself, so the vendor folder is copied; the screens read the core's kept results.
$parts = ['core/src', 'core/tests', 'core/composer.json', 'core/phpunit.xml', ...($what === 'core' ? ['core/vendor', 'docs'] : ['resources', 'lang', 'package.json', 'tsconfig.json', 'vite.config.ts', 'vitest.config.ts'])];
foreach ($parts as $part) {
    passthru('cp -r '.escapeshellarg("$root/$part").' '.escapeshellarg("$work/$part"));
}
$what === 'core' || symlink("$root/node_modules", "$work/node_modules");

[$folder, $command] = $what === 'core'
    ? ["$work/core/src", 'GIMBO_PROPERTY_RUNS=150 php core/vendor/bin/phpunit -c core/phpunit.xml --stop-on-failure --exclude-filter Golden --filter %s']
    : ["$work/resources/js/features/table", 'npx vitest run %s'];
$test = function (string ...$tests) use ($work, $command, $what): int {
    $named = $what === 'core' ? escapeshellarg(implode('|', $tests)) : implode(' ', array_map(escapeshellarg(...), $tests));
    exec('cd '.escapeshellarg($work).' && '.sprintf($command, $named).' 2>&1', $lines, $status);

    return $status;
};

$faults = array_filter(require __DIR__."/$what.php", fn (string $name) => str_contains($name, $only), ARRAY_FILTER_USE_KEY);
// A test that fails without a fault finds none.
$test(...array_unique(array_column($faults, 3))) === 0 || exit("the tests fail before a fault is planted\n");
$survived = [];
foreach ($faults as $name => [$file, $find, $put, $filter]) {
    $before = (string) file_get_contents("$folder/$file");
    if (substr_count($before, $find) !== 1) {
        $survived[] = "$name (its place in $file is not there once)";

        continue;
    }
    file_put_contents("$folder/$file", str_replace($find, $put, $before));
    $status = $test($filter);
    file_put_contents("$folder/$file", $before);
    echo $status === 0 ? 'SURVIVED' : 'caught  ', "  $name\n";
    $status === 0 && $survived[] = $name;
}
printf("%d faults planted, %d not found\n", count($faults), count($survived));
array_map(fn (string $name) => print("  $name\n"), $survived);
exit($survived === [] ? 0 : 1);
