<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Session\Middleware\StartSession;

/**
 * A page that asks for itself is read by nobody: it writes no session, so that what is said to somebody once, a refusal at its
 * field for one, is still there for the page they get to see.
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
}
