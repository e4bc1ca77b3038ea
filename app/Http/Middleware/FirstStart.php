<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Person;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** An installation without people leads to the page that makes the first one. */
final class FirstStart
{
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->is('sign-in') && Person::query()->doesntExist()) {
            return redirect('/first-start');
        }

        return $next($request);
    }
}
