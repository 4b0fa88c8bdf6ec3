<?php

declare(strict_types=1);

return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('GIMBO_DATABASE', storage_path('gimbo.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // A write waits for another one instead of failing; a commit is on the disk before it is answered.
            'busy_timeout' => 5000,
            'journal_mode' => 'WAL',
            // What was kept goes on into the file itself at once: a plain copy of it has all but what is being written.
            'pragmas' => ['wal_autocheckpoint' => 1],
            'synchronous' => 'FULL',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
