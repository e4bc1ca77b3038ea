<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Shop\ClockFile;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\View;
use Symfony\Component\HttpFoundation\Response;

/**
 * Every time of a request is the shop's, also when the machine's clock has jumped. In testing alone a file moves it,
 * so that no test waits out a hold or a cool-down.
 */
final class ShopClock
{
    /** Beside the database of the run, so that a broken run leaves nothing behind for the next. */
    public const FILE = 'clock';

    private static function file(): string
    {
        return config('aqbel.folder').'/'.self::FILE;
    }

    public function handle(Request $request, Closure $next): Response
    {
        if (app()->environment('testing') && is_file(self::file())) {
            Carbon::setTestNow(Carbon::now()->addSeconds((int) file_get_contents(self::file())));
        }

        if (config('aqbel.clock') !== null) {
            $clock = app(ClockFile::class)->read();
            Carbon::setTestNow($clock->jumped() ? Carbon::createFromTimestamp($clock->shopTime()) : null);
            View::share('jumped', $clock->jumped() ? $clock : null);
        }

        return $next($request);
    }
}
