<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Nothing from outside this machine, no inline script; and whose page it is, so that it is kept for nobody else. */
final class SecurityHeaders
{
    /**
     * Tablets that were here this week come by TLS alone; short
     * enough that a certificate made anew can still be fetched.
     */
    private const ONLY_TLS_S = 7 * 86400;

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => "default-src 'self'; img-src 'self' data:; style-src 'self'; script-src "
                ."'self'; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'",
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
            'X-Frame-Options' => 'DENY',
            'Permissions-Policy' => 'camera=(self), fullscreen=(self), geolocation=(), microphone=(), payment=(), '
                .'usb=(), bluetooth=(), serial=(self)',
            'Aqbel-Person' => (string) Auth::id(),
        ]);
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age='.self::ONLY_TLS_S);
        }

        return $response;
    }
}
