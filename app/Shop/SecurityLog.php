<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;

/**
 * Who was let in nowhere, and from where: a file of its own beside the
 * other logs, without a word of what was typed as a secret.
 */
final class SecurityLog
{
    /** @param  string  $login  as it was typed, or of whom it was; empty where nobody was named */
    public static function refused(Request $request, string $what, string $login): void
    {
        try {
            Log::channel('security')->warning($what, [
                'login' => mb_strcut(preg_replace('/[^\w.\-@ ]/u', '?', $login) ?? '?', 0, 40),
                'address' => $request->ip(),
                'path' => $request->path(),
            ]);
        } catch (\Throwable) {
            // A log that cannot be written lets nobody in, and keeps nobody out.
        }
    }
}
