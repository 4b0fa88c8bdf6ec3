<?php

declare(strict_types=1);

/*
 * Prints that many random specs a make in each system, one a line, the same ones each time: one in three with things that go with
 * it, some as specs said them before, and one in eight with something in it that is wrong.
 */

use Gimbo\Core\Make\Makes;
use Gimbo\Core\Tests\Specs;

require __DIR__.'/../../core/tests/bootstrap.php';

$count = (int) ($argv[1] ?? 2000);
foreach (Makes::all()->ids() as $make) {
    foreach (['imperial', 'metric'] as $system) {
        mt_srand(crc32("$make $system"));
        for ($i = 0; $i < $count; $i++) {
            $spec = ['system' => $system] + Specs::random($make);
            mt_rand(0, 7) === 0 && $spec['border'] = $system === 'imperial' ? '1/8 in' : '4 mm';
            mt_rand(0, 7) === 0 && $spec['closure'] = ['dot', 'string', 'tuck'][mt_rand(0, 2)];
            $i % 3 === 1 && $spec = Specs::dressed($spec);
            $i % 8 === 7 && $spec = Specs::broken($spec);
            echo json_encode($spec, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), "\n";
        }
    }
}
