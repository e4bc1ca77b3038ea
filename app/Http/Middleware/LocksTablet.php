<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Shop;
use App\Models\SignIn;
use App\Models\Tablet;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\View;
use Symfony\Component\HttpFoundation\Response;

/**
 * A shared tablet that nobody touched for as long as the shop says asks who is there. What it keeps stays its
 * maker’s.
 */
final class LocksTablet
{
    private const SEEN = 'seen_at';

    public function handle(Request $request, Closure $next): Response
    {
        $tablet = Auth::check() ? Tablet::of($request) : null;
        $minutes = $tablet === null ? 0 : Shop::here()->lock_minutes;
        if ($minutes === 0) {
            return $next($request);
        }
        $seen = $request->session()->get(self::SEEN);
        if (is_int($seen) && now()->getTimestamp() - $seen > 60 * $minutes) {
            SignIn::end($request);
            Auth::logout();
            $request->session()->invalidate();
            if ($request->expectsJson()) {
                return response()->json(['message' => 'This tablet is locked. Say who you are.'], 401);
            }
            $request->session()->put('url.intended', $request->isMethod('GET') ? $request->fullUrl() : url('/'));

            return redirect('/sign-in');
        }
        // A page that asks for itself is touched by nobody.
        $request->headers->has(StartsSession::BY_ITSELF) || $request->session()->put(self::SEEN, now()->getTimestamp());
        View::share('locksAfter', 60 * $minutes);

        return $next($request);
    }
}
