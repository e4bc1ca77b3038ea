<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\PressureHeld;
use Aqbel\Core\Observed\PressureTested;
use Aqbel\Core\Observed\PumpedUp;

/**
 * Watches the gauge of a pressure test: that it was pumped up, and
 * how it stands when its time is over or half of it is gone.
 */
final class PressureWatch
{
    private const MINUTE_S = 60;

    /** It is pumped up when it has stood for so long within so much of itself, s and kPa. */
    private const STANDS_S = 4.0;

    private const STANDS_KPA = 2.0;

    /** Less than this share of what is asked is still on its way. */
    private const ENOUGH = 0.8;

    private const LOST = 0.5;

    private const HOLDS_S = 10.0;

    /**
     * @param  array<string, list<array{float, float}>>  $channels  Unix seconds and value, by channel
     * @return list<RunLine>
     */
    public static function lines(Situation $at, array $channels): array
    {
        $points = ChannelKind::Pressure->believed($channels[ChannelKind::Pressure->value] ?? []);
        $newest = $points === [] ? null : $points[count($points) - 1];
        if ($newest === null || $at->now - $newest[0] > self::HOLDS_S) {
            return [];
        }
        [$pumped, $tested] = [$at->latest(PumpedUp::class), $at->latest(PressureTested::class)];
        $when = (int) floor($newest[0]);
        if ($pumped === null) {
            return $tested === null && self::stands($at, $points, $newest)
                ? [new RunLine($when, PumpedUp::form(), PumpedUp::streamed($newest[1])->and(Told::byInstrument(null)))]
                : [];
        }
        $isOver = $when - $pumped->at() >= PressureHeld::LEAST_S || $newest[1] <= self::LOST * $pumped->kPa;
        if (! $isOver || ! $pumped->isAfter($tested)) {
            return [];
        }
        $minute = null;
        foreach ($points as [$second, $kpa]) {
            $minute = $second <= $pumped->at() + self::MINUTE_S ? $kpa : $minute;
        }
        $minute
            = $when - $pumped->at() < self::MINUTE_S || $points[0][0] > $pumped->at() + self::MINUTE_S || $minute === null
                ? null
                : min($minute, $pumped->kPa);

        return [
            new RunLine(
                $when,
                PressureTested::STOOD,
                PressureTested::streamed($minute, min($newest[1], $minute ?? $pumped->kPa))->and(
                    Told::byInstrument(null),
                ),
            ),
        ];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  array{float, float}  $newest
     */
    private static function stands(Situation $at, array $points, array $newest): bool
    {
        $lately = array_column(array_filter($points, fn (array $point) => $point[0] >= $newest[0] - self::STANDS_S), 1);

        return $newest[0] - $points[0][0] >= self::STANDS_S
            && max([$newest[1], ...$lately]) - min([$newest[1], ...$lately]) <= self::STANDS_KPA
            && $newest[1] >= self::ENOUGH * PressureHeld::askedKpa($at);
    }
}
