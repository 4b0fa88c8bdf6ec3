<?php

declare(strict_types=1);

/*
 * The router of PHP's own web server: built files go out compressed and are kept by the browser for good
 * (their names change with their contents); everything else is the application's.
 */

$path = parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH);
$public = __DIR__.'/public';
$file = is_string($path) ? realpath($public.rawurldecode($path)) : false;

if ($file !== false && str_starts_with($file, $public.'/build/') && is_file($file) && ! str_ends_with($file, '.php')) {
    $types = ['js' => 'text/javascript', 'css' => 'text/css', 'woff2' => 'font/woff2', 'json' => 'application/json', 'svg' => 'image/svg+xml'];
    header('Content-Type: '.($types[pathinfo($file, PATHINFO_EXTENSION)] ?? 'application/octet-stream'));
    header('Cache-Control: public, max-age=31536000, immutable');
    header('X-Content-Type-Options: nosniff');
    header('Vary: Accept-Encoding');
    $packed = $file.'.gz';
    if (str_contains($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '', 'gzip') && is_file($packed)) {
        header('Content-Encoding: gzip');
        $file = $packed;
    }
    header('Content-Length: '.filesize($file));
    readfile($file);

    return true;
}

require $public.'/index.php';
