<?php

declare(strict_types=1);

// Has anything changed? Asked by every open page every second or two, so it starts no application, no session and no view.

use App\Floor\Tick;

require __DIR__.'/../app/Floor/Tick.php';

header('Cache-Control: no-store');
header('X-Content-Type-Options: nosniff');
$about = is_string($_GET['about'] ?? null) ? $_GET['about'] : '';
try {
    $on = static fn (string $name, string $else): string => (string) (getenv($name) ?: $else);
    $shop = $on('DB_CONNECTION', 'sqlite') === 'pgsql'
        ? new PDO("pgsql:host={$on('DB_HOST', '127.0.0.1')};port={$on('DB_PORT', '5432')};dbname={$on('DB_NAME', 'aqbel')};sslmode={$on('DB_SSLMODE', 'prefer')}", $on('DB_USERNAME', 'aqbel'), $on('DB_PASSWORD', ''))
        : new PDO('sqlite:'.$on('DB_DATABASE', __DIR__.'/../storage/aqbel.sqlite'), options: [PDO::ATTR_TIMEOUT => 1]);
    $practised = preg_match('/^\d{9}$/', $about) === 1 && (int) $about >= Tick::PRACTICE;
    $practice = $practised ? new PDO('sqlite:'.$on('AQBEL_PRACTICE', dirname($on('DB_DATABASE', __DIR__.'/../storage/aqbel.sqlite')).'/practice.sqlite'), options: [PDO::ATTR_TIMEOUT => 1]) : null;
    $tag = '"'.Tick::of($shop, $about, $on('APP_KEY', ''), $practice).'"';
} catch (Throwable) {
    http_response_code(503);
    exit;
}
header("ETag: {$tag}");
http_response_code(($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag ? 304 : 204);
