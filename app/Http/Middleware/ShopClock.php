<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets a test move the server's clock, so that no test waits out a hold or a cool-down. Does nothing outside testing.
 */
final class ShopClock
{
    /** Beside the database of the run, so that a broken run leaves nothing behind for the next. */
    public const FILE = 'clock';

    private static function file(): string
    {
        return dirname((string) config('database.connections.sqlite.database')).'/'.self::FILE;
    }

    public function handle(Request $request, Closure $next): Response
    {
        if (app()->environment('testing') && is_file(self::file())) {
            Carbon::setTestNow(Carbon::now()->addSeconds((int) file_get_contents(self::file())));
        }

        return $next($request);
    }
}
