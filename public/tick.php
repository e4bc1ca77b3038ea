<?php

declare(strict_types=1);

// Has anything changed? Asked by every open page every second or two, so it starts no application, no session and no view.

use App\Floor\Tick;
use App\Shop\Connection;

require __DIR__.'/../bootstrap/classes.php';

header('Cache-Control: no-store');
header('X-Content-Type-Options: nosniff');
$about = is_string($_GET['about'] ?? null) ? $_GET['about'] : '';
try {
    $practised = preg_match('/^\d{9}$/', $about) === 1 && (int) $about >= Tick::PRACTICE;
    $tag = '"'.Tick::of(
        Connection::open(),
        $about,
        Connection::env('APP_KEY', ''),
        $practised ? Connection::practice() : null,
    ).'"';
} catch (Throwable) {
    http_response_code(503);
    exit;
}
header("ETag: {$tag}");
http_response_code(($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag ? 304 : 204);
