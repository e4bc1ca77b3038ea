<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpFoundation\Response;

/** Lets a test move the server's clock, so that no test waits out a hold or a cool-down. Does nothing outside testing. */
final class ShopClock
{
    public const FILE = 'app/testing-clock';

    public function handle(Request $request, Closure $next): Response
    {
        if (app()->environment('testing') && is_file(storage_path(self::FILE))) {
            Carbon::setTestNow(Carbon::now()->addSeconds((int) file_get_contents(storage_path(self::FILE))));
        }

        return $next($request);
    }
}
