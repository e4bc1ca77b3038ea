<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Session\FileSessionHandler;

/** Sessions in files that are there whole or not at all, wherever a write is cut off. */
final class WholeFileSessions extends FileSessionHandler
{
    public function write($sessionId, $data): bool
    {
        $this->files->replace("{$this->path}/{$sessionId}", $data);

        return true;
    }
}
