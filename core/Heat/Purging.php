<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/**
 * How running works trapped air out: each pocket shrinks by e^(−k·t) while its loop flows. An estimate, and labelled
 * so: k per minute is an invented default until the shop's own top-ups tell better.
 */
final class Purging
{
    public const IDLE_PER_MINUTE = 0.10;

    /** Minutes of a heat cycle during which the loop of a pocket flows (common practice, no source). */
    private const CYCLE_MINUTES = 10.0;

    /** No plan lays out more heat cycles than this; what is left then is another school's work. */
    private const MOST_CYCLES = 6;

    /** Per minute, by the speed of the engine: 0.10 at idle, 0.25 at 2,000, 0.35 at 3,000 rpm and above. */
    public static function perMinute(float $rpm): float
    {
        return match (true) {
            $rpm <= 800.0 => self::IDLE_PER_MINUTE,
            $rpm <= 2000.0 => self::IDLE_PER_MINUTE + 0.15 * ($rpm - 800.0) / 1200.0,
            default => min(0.35, 0.25 + 0.10 * ($rpm - 2000.0) / 1000.0),
        };
    }

    /** A run that leaves more than this share works nothing out. */
    private const MOST_LEFT = 0.9;

    /**
     * Share of the air that one heat cycle at idle leaves.
     *
     * @param  float  $timesUsual  of a shop whose runs leave more, or less
     */
    public static function leftByCycle(float $timesUsual = 1.0): float
    {
        return min(self::MOST_LEFT, $timesUsual * exp(-self::IDLE_PER_MINUTE * self::CYCLE_MINUTES));
    }

    /** Heat cycles that bring the air under the limit, mL, and one more, which proves it. */
    public static function cycles(float $airMl, float $limitMl, float $timesUsual = 1.0): int
    {
        $cycles = 1;
        for ($left = $airMl; $left > $limitMl && $cycles < self::MOST_CYCLES; $left *= self::leftByCycle($timesUsual)) {
            $cycles++;
        }

        return $cycles;
    }
}
