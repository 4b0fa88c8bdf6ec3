<?php

declare(strict_types=1);

/* The ten tests that took longest, of some JUnit files: `php slowest.php FILE…`; a file that is not there is left out. */

$took = [];
foreach (array_filter(array_slice($argv, 1), is_file(...)) as $file) {
    foreach (simplexml_load_file($file)?->xpath('//testcase') ?: [] as $case) {
        $took[basename($file, '.xml').': '.basename(strtr((string) $case['classname'], '.\\', '//')).' '.$case['name']] = (float) $case['time'];
    }
}
arsort($took);
foreach (array_slice($took, 0, 10) as $name => $seconds) {
    printf("%6.1f s  %s\n", $seconds, mb_substr($name, 0, 150));
}
