<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Support\Facades\DB;
use Symfony\Component\Finder\Finder;

/**
 * Takes away what was remembered for a while and is over: the cache forgets it only when somebody asks for it again.
 */
final class Sweep
{
    /** Every file of the framework's file cache begins with the second at which it ends. */
    private const STAMP_LENGTH = 10;

    /** @return int how many files went */
    public static function cache(): int
    {
        // Tries at a password, where they are counted for several machines.
        if (config('cache.limiter') === 'database') {
            DB::table('cache')->where('expiration', '<', time())->delete();
        }
        $folder = config('cache.stores.file.path');
        if (config('cache.default') !== 'file' || ! is_string($folder) || ! is_dir($folder)) {
            return 0;
        }
        $gone = 0;
        foreach ((new Finder)->files()->in($folder) as $file) {
            $ends = (string) @file_get_contents($file->getPathname(), length: self::STAMP_LENGTH);
            if (ctype_digit($ends) && (int) $ends < time() && @unlink($file->getPathname())) {
                $gone++;
            }
        }

        return $gone;
    }
}
