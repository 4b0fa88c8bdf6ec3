<?php

declare(strict_types=1);

/*
 * Loads the core and its tests and nothing else: a class of the application or the framework is not found here.
 */

spl_autoload_register(function (string $class): void {
    foreach (['Gimbo\\Core\\Tests\\' => __DIR__, 'Gimbo\\Core\\' => dirname(__DIR__).'/src'] as $prefix => $folder) {
        if (str_starts_with($class, $prefix)) {
            $file = $folder.'/'.strtr(substr($class, strlen($prefix)), '\\', '/').'.php';
            is_file($file) && require $file;

            return;
        }
    }
});
