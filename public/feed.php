<?php

declare(strict_types=1);

// What an instrument sends, several times a second in a busy shop. Most of it is only kept, and starts no application;
// whatever may be more is given to the application, with nothing of it written.

use App\Instruments\QuietBatch;
use App\Shop\ClockFile;
use App\Shop\Connection;
use App\Shop\MachineClock;

require __DIR__.'/../bootstrap/classes.php';

$token = basename((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? ''), PHP_URL_PATH));
$receipt = null;
try {
    // In tests a file moves the time, and where the machine's clock jumped the shop keeps its own.
    $clock = Connection::env('AQBEL_CLOCK', '');
    if (
        Connection::env('APP_ENV', '') === 'production'
        && ($clock === '' || (new ClockFile($clock, new MachineClock()))->isTheMachines())
    ) {
        $receipt = (new QuietBatch(Connection::open()))->take(
            $token,
            (string) file_get_contents('php://input'),
            (int) floor(microtime(true) * 1000.0),
        );
    }
} catch (Throwable) {
    $receipt = null; // the application says what is wrong
}
if ($receipt === null) {
    $_SERVER['SCRIPT_NAME'] = '/index.php';
    $_SERVER['SCRIPT_FILENAME'] = __DIR__.'/index.php';
    $_SERVER['PHP_SELF'] = '/index.php';
    require __DIR__.'/index.php';

    return;
}
header('Content-Type: application/json');
header('Cache-Control: no-store');
header('X-Content-Type-Options: nosniff');
echo json_encode($receipt->toArray());
