<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Ties;

/** Where fills and drainages of one circuit are kept from one plan to the next: hardly any of them differs. */
interface KnownFills
{
    /**
     * What is kept under the key, or what is simulated now, to be kept.
     *
     * @param  string  $key  barometer, ports, lift and the like, written out
     * @param  \Closure(): (Filling|Drainage|Ties)  $simulate
     */
    public function once(string $key, \Closure $simulate): Filling|Drainage|Ties;
}
