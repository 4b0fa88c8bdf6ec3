<?php

declare(strict_types=1);

/*
 * Prints that many random specs, one a line, the same ones each time.
 */

require __DIR__.'/../core/tests/bootstrap.php';

mt_srand(1);
for ($i = 0, $count = (int) ($argv[1] ?? 1000); $i < $count; $i++) {
    echo json_encode(Gimbo\Core\Tests\Specs::random(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), "\n";
}
