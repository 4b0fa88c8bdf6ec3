<?php

declare(strict_types=1);

return [
    // The names Gimbo answers to; a request that calls it by another one is refused (DNS rebinding).
    'hosts' => array_filter(explode(',', (string) env('GIMBO_HOSTS', '127.0.0.1,localhost,[::1]'))),

    // The language it speaks: a file of lang/ (BCP 47).
    'language' => env('GIMBO_LANGUAGE', 'en'),

    // The largest body of a request, in bytes. A design is a few hundred; a drawing that is taken in may be much more.
    'largest_body' => 1536 * 1024,

    // The largest file of everything that is taken back in, in bytes: it is read line by line.
    'largest_archive' => 512 * 1024 * 1024,

    // How long a cutting machine may take to answer, in seconds.
    'cutter_patience' => 2.0,

    // The cutter that `bin/cutter` stands in for.
    'stand_in' => ['name' => 'Stand-in', 'host' => '127.0.0.1', 'port' => (int) env('GIMBO_CUTTER_PORT', 9100), 'width' => '320 mm', 'height' => '600 mm'],
];
