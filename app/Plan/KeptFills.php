<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Circuit as Revision;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Simulations;
use Illuminate\Support\Facades\Cache;

/** What was simulated for one revision of a circuit, kept for the next change of a choice: hardly any of it differs. */
final class KeptFills
{
    private const KEPT_S = 86400;

    /** A plan asks for some twenty, a search for the cheapest fill for seventy; each that is kept is read by every plan. */
    private const MOST = 60;

    /**
     * @template T
     *
     * @param  \Closure(Simulations): T  $work
     * @return T
     */
    public static function during(Revision $revision, Circuit $circuit, Choices $choices, \Closure $work): mixed
    {
        $barometer = $choices->atmosphere()->pressure->kPa();
        $key = "fills.{$revision->id}.{$barometer}";
        /** @var array<string, Filling> $known */
        $known = Cache::get($key, []);
        $fills = new Simulations($circuit, $barometer, $known);
        $result = $work($fills);
        if ($fills->hasMore()) {
            Cache::put($key, $fills->kept(self::MOST), self::KEPT_S);
        }

        return $result;
    }
}
