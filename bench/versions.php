<?php

declare(strict_types=1);

/*
 * Holds what is installed against the versions that were tested (docs/adr/0019), and says which differ: `php versions.php`; `--write` keeps
 * those of now. Differing is no failure: the tests say whether it does any harm.
 */

$root = dirname(__DIR__);
$file = "$root/docs/tested-versions.json";
$installed = [];
foreach (['vendor', 'core/vendor'] as $folder) {
    /** @var array{packages: list<array{name: string, version: string}>} $all */
    $all = json_decode((string) file_get_contents("$root/$folder/composer/installed.json"), true, 64, JSON_THROW_ON_ERROR);
    foreach ($all['packages'] as ['name' => $name, 'version' => $version]) {
        $installed[$folder][$name] = ltrim($version, 'v');
    }
    ksort($installed[$folder]);
}
if (($argv[1] ?? '') === '--write') {
    file_put_contents($file, json_encode($installed, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
}
/** @var array<string, array<string, string>> $tested */
$tested = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);
$differ = 0;
foreach ($installed as $folder => $packages) {
    foreach ($packages + ($tested[$folder] ?? []) as $name => $_) {
        [$now, $then] = [$packages[$name] ?? 'none', $tested[$folder][$name] ?? 'none'];
        if ($now !== $then) {
            printf("%s: %s is %s, tested was %s\n", $folder, $name, $now, $then);
            $differ++;
        }
    }
}
echo $differ === 0 ? "Every installed package is of the version that was tested.\n" : "$differ of other versions than were tested.\n";
