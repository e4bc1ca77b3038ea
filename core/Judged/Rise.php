<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\Started;

/**
 * Which readings of a running engine its heat can account for. One that rose faster than an engine heats is a sensor
 * that met hot coolant: it counts once the next reading says the same, and never before the engine can be that hot.
 */
final readonly class Rise
{
    /** A running engine warms no faster, thermostat opening and all, °C a minute (common practice, no source). */
    public const RUNNING_C_PER_MIN = 15.0;

    /** Two sensors, two places: so far apart they may be, °C (common practice, no source). */
    public const PLACES_C = 8.0;

    /** A run that shows anything takes so long, s (common practice, no source). */
    public const SHORTEST_RUN_S = 60;

    /** A standing reading from longer ago says nothing of the start any more, s. */
    private const STILL_HOLDS_S = 12 * 3600;

    /**
     * @param  list<HotReading>  $believed
     * @param  ?HotReading  $doubted  the newest, where it is too early or too sudden to be believed yet
     * @param  ?HotReading  $jumped  where the sensor met hot coolant, and a later reading said the same
     */
    private function __construct(public array $believed, public ?HotReading $doubted, public ?HotReading $jumped)
    {
    }

    public static function of(Situation $at): self
    {
        return $at->judged(self::class, fn () => self::work($at));
    }

    private static function work(Situation $at): self
    {
        $readings = $at->observed(HotReading::class);
        $start = $at->observed(Started::class)[0] ?? null;
        [$believed, $last, $doubted, $jumped] = [[], null, null, null];
        [$startC, $startedAt] = $start === null ? [null, 0] : self::startOf($at, $start);
        foreach ($readings as $reading) {
            $tooEarly = $startC !== null && $reading->coolantC - $startC > self::most($startedAt, $reading->at());
            $tooSudden
                = $last !== null && $reading->coolantC - $last->coolantC > self::most($last->at(), $reading->at());
            $confirms = $doubted !== null
                && ! $tooEarly
                && abs($reading->coolantC - $doubted->coolantC) <= self::most($doubted->at(), $reading->at());
            if ($tooEarly || ($tooSudden && ! $confirms)) {
                $doubted = $reading;

                continue;
            }
            $jumped = $tooSudden ? $doubted : $jumped;
            $believed[] = $reading;
            [$last, $doubted] = [$reading, null];
        }

        return new self($believed, $doubted, $jumped);
    }

    /** Whether its running time can have made an engine as hot as that by then, whatever a hand says, °C. */
    public static function canHaveReached(Situation $at, float $celsius, int $then): bool
    {
        $start = $at->observed(Started::class)[0] ?? null;
        if ($start === null) {
            return false;
        }
        [$startC, $startedAt] = self::startOf($at, $start);

        return self::ranLongEnough($at, $then)
            && ($startC === null || $celsius - $startC <= self::most($startedAt, $then));
    }

    /** Whether it had run for long enough by then to show anything. */
    public static function ranLongEnough(Situation $at, int $then, int $seconds = self::SHORTEST_RUN_S): bool
    {
        $last = null;
        foreach ($at->observed(Started::class) as $start) {
            $last = $start->at() <= $then ? $start : $last;
        }

        return $last !== null && $then - $last->at() >= $seconds;
    }

    /**
     * How warm the engine was when it started, at the most, and when it was so warm.
     *
     * @return array{?float, int} °C, and Unix seconds
     */
    private static function startOf(Situation $at, Started $start): array
    {
        $last = null;
        foreach ($at->job->observedUntil(CoolantRead::class, $start) as $read) {
            $last = $last !== null && $last->isAfter($read) ? $last : $read;
        }
        if ($last === null || $start->at() - $last->at() > self::STILL_HOLDS_S) {
            return [null, $start->at()];
        }
        $step = $at->job->steps[$last->told()->step] ?? null;
        $wasRunning = $step !== null && $at->job->kinds->of($step)->does(Does::RunsEngine);

        // Standing, it did not get warmer than it was read; running, it went on warming until it was shut off.
        return [$last->celsius, $wasRunning ? $last->at() : $start->at()];
    }

    private static function most(int $since, int $until): float
    {
        return self::PLACES_C + self::RUNNING_C_PER_MIN * max(0, $until - $since) / 60.0;
    }
}
