<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Person;
use App\Models\SignIn;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Whoever may sign in no more is out with the next request; a first password is changed before anything else. */
final class KnowsWho
{
    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user();
        if (! $person instanceof Person || $request->is('sign-out')) {
            return $next($request);
        }
        if ($person->disabled_at !== null || SignIn::wasEnded($request)) {
            Auth::logout();
            $request->session()->invalidate();

            return $request->expectsJson()
                ? response()->json(['message' => 'Sign in again.'], 401)
                : redirect('/sign-in');
        }
        if ($person->must_change && ! $request->is('password')) {
            return $request->expectsJson()
                ? response()->json(['message' => 'Choose a password of your own first.'], 401)
                : redirect('/password');
        }

        return $next($request);
    }
}
