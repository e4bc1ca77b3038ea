<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Quantity\Temperature;

/** A bucket on a scale: what has come into it, or gone out of it, since it was set to zero or read last. */
final readonly class ScaleRead
{
    /** What is read is the mean over so long, s; a hand on the bucket is over by then. */
    private const MEAN_S = 3.0;

    /** It stands still where it moved by no more than so much meanwhile, kg (common practice, no source). */
    private const STILL_KG = 0.03;

    /** Coolant that is caught or poured in a shop, °C (common practice, no source). */
    private const USUAL_C = 20.0;

    private const OLD_S = 60.0;

    /** @param  bool  $came  into the bucket; else out of it */
    private function __construct(public float $kg, public float $ml, public bool $isStill, public bool $came)
    {
    }

    /**
     * Null where nothing was weighed lately.
     *
     * @param  list<array{float, float}>  $points  Unix seconds and kg, in order
     * @param  ?float  $zeroedAt  Unix seconds; null where nobody has
     */
    public static function of(Situation $at, array $points, ?float $zeroedAt = null): ?self
    {
        $points = ChannelKind::Weight->believed($points);
        $newest = $points === [] ? null : $points[count($points) - 1][0];
        if ($newest === null || $at->now - $newest > self::OLD_S) {
            return null;
        }
        $since = max($zeroedAt ?? 0.0, self::since($at));
        $at0 = array_filter($points, fn (array $point) => $point[0] <= $since);
        $first = $at0 === [] ? $points[0][0] : end($at0)[0];
        $lately = self::between($points, $newest - self::MEAN_S, $newest);
        [$kg, $before] = [
            self::mean($lately),
            self::mean(self::between($points, $first, $first + ($at0 === [] ? self::MEAN_S : 0.0))),
        ];
        $delta = $kg - $before;
        $fraction
            = $delta < 0.0 ? Bucket::fraction($at) : $at->job->ledger()->fraction() ?? $at->facts()->targetFraction;
        $density = (new Mixture($at->facts()->base, $fraction))->density(Temperature::celsius(self::USUAL_C));

        return new self(
            $kg,
            (abs($delta) / $density) * 1.0e6,
            max($lately) - min($lately) <= self::STILL_KG,
            $delta >= 0.0,
        );
    }

    /** What was weighed once is not weighed again; what stood there before this step was another's. */
    private static function since(Situation $at): float
    {
        $since = 0;
        foreach ($at->job->journal->lines as $line) {
            $weighed = $line->step === $at->step->id && VesselReading::of($line)?->isWeighed() === true;
            $since = $weighed || $line->closes() ? max($since, $line->at) : $since;
        }

        return (float) $since;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return non-empty-list<float>
     */
    private static function between(array $points, float $from, float $to): array
    {
        $some = array_column(array_filter($points, fn (array $point) => $point[0] >= $from && $point[0] <= $to), 1);

        return $some === [] ? [$points[0][1]] : $some;
    }

    /** @param  non-empty-list<float>  $values */
    private static function mean(array $values): float
    {
        return array_sum($values) / count($values);
    }
}
