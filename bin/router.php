<?php

declare(strict_types=1);

// For PHP's built-in server: files in public/ as they are, compressed
// where the browser takes it; all else to the application.

$path = (string) parse_url($_SERVER['REQUEST_URI'], PHP_URL_PATH);
if (str_contains(rawurldecode($path), "\0")) {
    http_response_code(400);
    header('Content-Type: text/plain; charset=utf-8');
    exit('This address cannot be read.');
}
$file = realpath(__DIR__.'/../public'.rawurldecode($path));
$public = (string) realpath(__DIR__.'/../public');
$types = [
    'css' => 'text/css',
    'js' => 'text/javascript',
    'svg' => 'image/svg+xml',
    'woff2' => 'font/woff2',
    'woff' => 'font/woff',
    'json' => 'application/json',
];

if (
    $path !== '/'
    && $file !== false
    && str_starts_with($file, $public.'/')
    && isset($types[pathinfo($file, PATHINFO_EXTENSION)])
) {
    header('Content-Type: '.$types[pathinfo($file, PATHINFO_EXTENSION)]);
    header('X-Content-Type-Options: nosniff');
    header(
        str_starts_with($path, '/build/assets/')
            ? 'Cache-Control: public, max-age=31536000, immutable'
            : 'Cache-Control: public, max-age=3600',
    );
    if (str_contains($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '', 'gzip') && ! str_ends_with($file, '.woff2')) {
        header('Content-Encoding: gzip');
        echo gzencode((string) file_get_contents($file));
    } else {
        readfile($file);
    }

    return true;
}
if ($path === '/tick.php') {
    require $public.'/tick.php';

    return true;
}
if ($_SERVER['REQUEST_METHOD'] === 'POST' && preg_match('#^/feeds/[A-Za-z0-9]{10,64}$#', $path) === 1) {
    require $public.'/feed.php';

    return true;
}
if (str_contains($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '', 'gzip')) {
    ob_start('ob_gzhandler');
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
require $public.'/index.php';
