<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\Gauge;
use Aqbel\Core\Judged\VacuumHeld;
use Aqbel\Core\Observed\NeedleRead;
use Aqbel\Core\Quantity\Pressure;

/**
 * Watches a vacuum gauge while it is pulled and held: a reading by the minute, as soon as the needle has moved by what
 * the gauge can show, and when the clock of a hold is over.
 */
final class NeedleWatch
{
    private const EVERY_S = 60;

    /** A value is that of a moment when it is no older than so much, s. */
    private const HOLDS_S = 10.0;

    /**
     * So far in such a moment a needle moves where a hose comes off, or a plug was touched: the next point
     * tells which, s and inHg (common practice, no source).
     */
    private const A_MOMENT_S = 2.0;

    private const JUMPS_IN_HG = 4.0;

    /** A needle moves by so many of its divisions before it is worth a line. */
    private const DIVISIONS = 2.0;

    /**
     * @param  array<string, list<array{float, float}>>  $channels  Unix seconds and value, by channel
     * @return list<RunLine>
     */
    public static function lines(Situation $at, array $channels): array
    {
        $points = ChannelKind::Vacuum->believed($channels[ChannelKind::Vacuum->value] ?? []);
        $newest = $points === [] ? null : $points[count($points) - 1];
        if ($newest === null || $at->now - $newest[0] > self::HOLDS_S || self::isAlone($points)) {
            return [];
        }
        $when = (int) floor($newest[0]);
        $kpa = Pressure::inchesOfMercury($newest[1])->kPa();
        $last = $at->latest(NeedleRead::class);
        $worth = $last === null
            || $when - $last->at() >= self::EVERY_S
            || abs($kpa - $last->kPa(Gauge::air($at))) >= self::DIVISIONS * Gauge::resolution($at)->kPa()
            || self::endsTheHold($at, $last, $when);

        return $worth && ($last === null || $when > $last->at())
            ? [new RunLine($when, NeedleRead::FORM, NeedleRead::streamed($kpa)->and(Told::byInstrument(null)))]
            : [];
    }

    /**
     * Whether the newest stands apart from one a moment before: a plug that was touched, until the next says the same.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    private static function isAlone(array $points): bool
    {
        $newest = $points[count($points) - 1];
        $before = $points[count($points) - 2] ?? null;

        return $before !== null
            && $newest[0] - $before[0] <= self::A_MOMENT_S
            && abs($newest[1] - $before[1]) > self::JUMPS_IN_HG;
    }

    private static function endsTheHold(Situation $at, NeedleRead $last, int $when): bool
    {
        $held = VacuumHeld::of($at);
        $end = $held === null ? null : $held->readings[0]->at() + (int) ceil($held->seconds);

        return $end !== null && $last->at() < $end && $when >= $end;
    }
}
