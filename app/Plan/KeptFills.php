<?php

declare(strict_types=1);

namespace App\Plan;

use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Ties;
use Aqbel\Core\Plan\KnownFills;
use Illuminate\Support\Facades\Cache;

/** What was simulated for one revision of a circuit, kept for the next change of a choice. */
final readonly class KeptFills implements KnownFills
{
    private const KEPT_S = 86400;

    /** How it is simulated: counted up when that changes. */
    private const SIMULATED = 3;

    public function __construct(private int $revision)
    {
    }

    public function once(string $key, \Closure $simulate): Filling|Drainage|Ties
    {
        return Cache::remember('fills.'.self::SIMULATED.".{$this->revision}.{$key}", self::KEPT_S, $simulate);
    }
}
