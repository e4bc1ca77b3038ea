<?php

declare(strict_types=1);

// Our own classes alone, for what is answered without starting the application.

spl_autoload_register(static function (string $class): void {
    foreach (['Aqbel\\Core\\' => 'core', 'App\\' => 'app'] as $prefix => $folder) {
        if (str_starts_with($class, $prefix)) {
            require_once dirname(__DIR__)."/{$folder}/".str_replace('\\', '/', substr($class, strlen($prefix))).'.php';
        }
    }
});
