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

    /** Share of the air that one heat cycle at idle leaves. */
    public static function leftByCycle(): float
    {
        return exp(-self::IDLE_PER_MINUTE * self::CYCLE_MINUTES);
    }

    /** Heat cycles that bring the air under the limit, mL, and one more, which proves it. */
    public static function cycles(float $airMl, float $limitMl): int
    {
        $cycles = 1;
        for ($left = $airMl; $left > $limitMl && $cycles < self::MOST_CYCLES; $left *= self::leftByCycle()) {
            $cycles++;
        }

        return $cycles;
    }
}
