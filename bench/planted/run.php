<?php

declare(strict_types=1);

/*
 * Plants the faults of a list one after another in a copy of the core, and runs the tests that must find each. Prints those that
 * nobody found, and exits 1 if there are any; a fault whose place is not there any more is one of them.
 */

$root = dirname(__DIR__, 2);
$work = sys_get_temp_dir().'/gimbo-planted-'.getmypid();
mkdir($work);
register_shutdown_function(fn () => passthru('rm -rf '.escapeshellarg($work)));
foreach (['src', 'tests', 'composer.json', 'phpunit.xml'] as $part) {
    passthru('cp -r '.escapeshellarg("$root/core/$part").' '.escapeshellarg("$work/$part"));
}
// The autoloader looks beside itself, so the vendor folder is copied too; the list of settings stands in docs/.
passthru('cp -r '.escapeshellarg("$root/core/vendor").' '.escapeshellarg("$work/vendor"));
$only = $argv[1] ?? '';
$survived = [];
$faults = array_filter(require __DIR__.'/core.php', fn (string $name) => str_contains($name, $only), ARRAY_FILTER_USE_KEY);
$test = function (string $filter) use ($root, $work): int {
    exec('GIMBO_DOCS='.escapeshellarg("$root/docs").' GIMBO_PROPERTY_RUNS=150 php '.escapeshellarg("$work/vendor/bin/phpunit").' -c '.escapeshellarg("$work/phpunit.xml").' --stop-on-failure --filter '.escapeshellarg($filter).' --exclude-filter Golden 2>&1', $lines, $status);

    return $status;
};
// A test that fails without a fault finds none.
$test(implode('|', array_unique(array_column($faults, 3)))) === 0 || exit("the tests fail before a fault is planted\n");
foreach ($faults as $name => [$file, $find, $put, $filter]) {
    $path = "$work/src/$file";
    $before = (string) file_get_contents($path);
    if (substr_count($before, $find) !== 1) {
        $survived[] = "$name (its place in $file is not there once)";

        continue;
    }
    file_put_contents($path, str_replace($find, $put, $before));
    $status = $test($filter);
    file_put_contents($path, $before);
    echo $status === 0 ? 'SURVIVED' : 'caught  ', "  $name\n";
    $status === 0 && $survived[] = $name;
}
printf("%d faults planted, %d not found\n", count($faults), count($survived));
array_map(fn (string $name) => print("  $name\n"), $survived);
exit($survived === [] ? 0 : 1);
