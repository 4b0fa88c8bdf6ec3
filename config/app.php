<?php

declare(strict_types=1);

return [
    'name' => 'Gimbo',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'maintenance' => ['driver' => 'file'],
];
