<?php

declare(strict_types=1);

return [
    'default' => env('GIMBO_QUEUE', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        // A sheet that is cut takes minutes; nothing is ever sent again by itself.
        'database' => ['driver' => 'database', 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 7200, 'after_commit' => true],
    ],
    'failed' => ['driver' => 'null'],
];
