<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpFoundation\Response;

/**
 * A page that asks for itself is read by nobody: it writes no session and hands out no cookie, so that what is
 * said to somebody once, a refusal at its field for one, is still there for the page they get to see, and a
 * slow answer brings nobody back who has signed out meanwhile.
 */
final class StartsSession extends StartSession
{
    /** The header by which a page says that it asks for itself. */
    public const BY_ITSELF = 'X-Live';

    protected function saveSession($request): void
    {
        if (! $request->headers->has(self::BY_ITSELF)) {
            parent::saveSession($request);
        }
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if (! request()->headers->has(self::BY_ITSELF)) {
            parent::addCookieToResponse($response, $session);
        }
    }
}
