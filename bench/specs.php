<?php

declare(strict_types=1);

/*
 * Prints that many random specs, one a line, the same ones each time: of the make that is named, or of all in turn.
 */

require __DIR__.'/../core/tests/bootstrap.php';

mt_srand(1);
$make = $argv[2] ?? null;
$all = Gimbo\Core\Make\Makes::all()->ids();
for ($i = 0, $count = (int) ($argv[1] ?? 1000); $i < $count; $i++) {
    echo json_encode(Gimbo\Core\Tests\Specs::random($make ?? $all[$i % count($all)]), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), "\n";
}
