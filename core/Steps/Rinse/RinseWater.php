<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\RanThrough;
use Aqbel\Core\Observed\RinseWaterIn;
use Aqbel\Core\Observed\RinseWaterOut;

/** Rinse water into the circuit and out of it again, in the one balance over all of it. */
final class RinseWater
{
    /**
     * Water that was filled in and not run mixes so far with what stayed
     * inside, give or take as much (common practice, no source).
     */
    public const COLD_MIXES = 0.5;

    /** @return list<Line> */
    public static function lines(Situation $at, Entry $entry): array
    {
        $in = RinseWaterIn::of($entry);
        $out = RinseWaterOut::of($entry);
        $through = RanThrough::of($entry);

        return [
            ...$in === null ? [] : [self::in($in->read->ml, $in->read->plusMinusMl($at), $in->read->roughMl)],
            ...$out === null
                ? []
                : [
                    self::out(
                        $out->read->ml,
                        $out->read->plusMinusMl($at),
                        $out->read->roughMl,
                        RinsePart::isRun($at->step) ? 1.0 : self::COLD_MIXES,
                    ),
                ],
            ...$through === null ? [] : self::through($through->aboutMl ?? $at->circuit()->capacityMl()),
        ];
    }

    /**
     * What stays inside is as much as before, and water by so much as ran through: where nobody says how much, it was
     * all wet once. Nobody caught it.
     *
     * @return list<Line>
     */
    private static function through(float $ml): array
    {
        return [self::in($ml, 0.0), new Line('Rinse water through', -$ml, 0.0, null, lost: true)];
    }

    private static function in(float $ml, float $plusMinusMl, float $roughMl = 0.0): Line
    {
        return new Line('Rinse water in', $ml, $plusMinusMl, 0.0, roughMl: $roughMl);
    }

    private static function out(float $ml, float $plusMinusMl, float $roughMl = 0.0, float $mixes = 1.0): Line
    {
        return new Line('Rinse water out', -$ml, $plusMinusMl, null, roughMl: $roughMl, mixes: $mixes);
    }
}
