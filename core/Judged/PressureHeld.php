<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\Declined;
use Aqbel\Core\Observed\PressureTested;
use Aqbel\Core\Observed\PumpedUp;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Vacuum\PressureHold;
use Aqbel\Core\Vacuum\PressureReading;
use Aqbel\Core\Vacuum\PressureVerdict;

/**
 * A pressure test: cold it shows a weep, warm a burst and what heat opens. One that failed stands until one that counts
 * holds: neither a weaker one nor “not done” outranks it. How long
 * it was held is bounded by the journal, whatever was typed.
 */
final readonly class PressureHeld implements Judgement
{
    /** Hoses give so much in five minutes without a leak, kPa (common practice, no source). */
    private const HOSES_KPA = 2.0;

    private const MINUTE_S = 60.0;

    private const GAUGE_KPA = 2.0;

    /** The change of the reading counts, not where it starts, °C. */
    private const COLD_C = 20.0;

    /** A weep needs so long to show, s (common practice, no source). */
    public const LEAST_S = 300.0;

    /** Enough to show a drip, whatever the cap would stand, kPa (common practice, no source). */
    public const ENOUGH_KPA = 100.0;

    /**
     * Hardly any cap is rated for less: where nobody knows the rating, no more
     * than this is asked for, kPa (common practice, no source).
     */
    private const ANY_CAP_KPA = 50.0;

    /**
     * Above this the circuit cools while it is held, and its pressure falls with it, °C (common practice, no source).
     */
    public const WARM_C = 35.0;

    /**
     * By so much a warm circuit falls in a minute without a leak, kPa: at 50 °C it cools 0.4
     * K, and a kelvin takes 0.6 kPa of the gas, 0.6 of the vapour and 1.1 by what ten litres
     * shrink (gas law, steam tables and expansion, from memory).
     */
    private const COOLS_KPA = 1.0;

    /** An entry may be written down a little before its minute is full, s. */
    private const SLACK_S = 15.0;

    /** @param  list<Observation>  $restsOn */
    private function __construct(
        public PressureHeldCode $code,
        private array $restsOn,
        public float $startKpa = 0.0,
        public float $endKpa = 0.0,
        public float $boundMlPerMinute = 0.0,
        public float $heldS = 0.0,
        public ?float $coolantC = null,
        public string $why = '',
    ) {
    }

    public static function of(Situation $at): ?self
    {
        $standing = null;
        foreach ($at->observed(PressureTested::class) as $test) {
            $judged = self::one($at, $test);
            $standing = $judged->decides() || $standing?->decides() !== true ? $judged : $standing;
        }
        $pumped = $at->latest(PumpedUp::class);
        $declined = $at->latest(Declined::class);

        return $standing ?? match (true) {
            $declined !== null => new self(PressureHeldCode::Declined, [$declined], why: $declined->why),
            $pumped !== null => new self(PressureHeldCode::Holding, [$pumped], $pumped->kPa),
            default => null,
        };
    }

    /** What a test is pumped to, kPa. */
    public static function askedKpa(Situation $at): float
    {
        return min($at->facts()->capKpa ?? self::ANY_CAP_KPA, self::ENOUGH_KPA);
    }

    private static function one(Situation $at, PressureTested $test): self
    {
        [$start, $from, $pumped] = self::begun($at, $test);
        $passed = max(0.0, $test->at() - $from + self::SLACK_S);
        $held = min($test->heldS ?? $passed, $passed);
        $hold = self::hold($at, $test, $start, $held);
        $end = $test->endKpa ?? $start;
        $drop = $start - $end;
        $warm = $test->coolantC > self::WARM_C;
        // Hoses that gave are told from a loss by the third reading, as long as what stood then still was a test.
        $gave = $test->minuteKpa !== null && $hold->verdict === PressureVerdict::Tight
            && $end >= PressureHold::COUNTS_FROM * self::askedKpa($at);
        $code = match (true) {
            $hold->verdict === PressureVerdict::Lost => PressureHeldCode::Lost,
            $start < PressureHold::COUNTS_FROM * self::askedKpa($at) => PressureHeldCode::NoTest,
            $drop > self::HOSES_KPA + ($warm ? self::COOLS_KPA * $held / self::MINUTE_S : 0.0) && ! $gave => PressureHeldCode::Falls,
            $warm => PressureHeldCode::Warm,
            $test->heldS !== null && $test->heldS >= self::LEAST_S && $held < self::LEAST_S => PressureHeldCode::NotSoLong,
            $held < self::LEAST_S => PressureHeldCode::TooShort,
            default => PressureHeldCode::Holds,
        };

        return new self(
            $code,
            array_values(array_filter([$pumped, $test])),
            $start,
            $end,
            $hold->boundMlPerMinute,
            $held,
            $test->coolantC,
        );
    }

    /**
     * Pumped to, and since when at the earliest: as it was told at its time, or not before the step before was finished
     * and the test before this one told.
     *
     * @return array{float, int, ?PumpedUp} kPa, and Unix seconds
     */
    private static function begun(Situation $at, PressureTested $test): array
    {
        $pumped = null;
        foreach ($at->observed(PumpedUp::class) as $one) {
            $pumped = $test->isAfter($one) ? $one : $pumped;
        }
        if ($test->startKpa === null) {
            return [$pumped->kPa ?? 0.0, $pumped?->at() ?? $test->at(), $pumped];
        }

        return [$test->startKpa, Since::earliest($at, $test, $at->step->stage), null];
    }

    /** At one temperature: a cold engine, and a few minutes. */
    private static function hold(Situation $at, PressureTested $test, float $startKpa, float $heldS): PressureHold
    {
        $cold = Temperature::celsius(self::COLD_C);
        $read = fn (float $second, float $kpa): PressureReading => new PressureReading(
            $second,
            Pressure::kilopascals($kpa),
            $cold,
        );
        $minute
            = $test->minuteKpa === null || $heldS <= self::MINUTE_S ? [] : [$read(self::MINUTE_S, $test->minuteKpa)];

        return new PressureHold(
            [$read(0.0, $startKpa), ...$minute, $read(max(1.0, $heldS), $test->endKpa ?? $startKpa)],
            Pressure::kilopascals(self::askedKpa($at)),
            Plan::of($at)->choices->atmosphere()->pressure,
            max($at->job->ledger()->headspaceMl, 0.0),
            Pressure::kilopascals(self::GAUGE_KPA),
        );
    }

    /** Whether it was a test that says something, one way or the other. */
    private function decides(): bool
    {
        return in_array($this->code, [PressureHeldCode::Holds, PressureHeldCode::Falls, PressureHeldCode::Lost], true);
    }

    public function fails(): bool
    {
        return $this->code === PressureHeldCode::Falls || $this->code === PressureHeldCode::Lost;
    }

    /**
     * Whether a warm one was held as it is to be: long enough to show a
     * burst, and no longer than its reading means something.
     */
    public function isWarmOfUse(): bool
    {
        return $this->heldS >= PressureHold::WARM_S - self::SLACK_S
            && $this->heldS <= PressureHold::WARM_S + self::MINUTE_S;
    }

    public function fellKpa(): float
    {
        return $this->startKpa - $this->endKpa;
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match (true) {
            $this->code === PressureHeldCode::Holds => Outcome::Passes,
            $this->fails() => Outcome::Stops,
            default => Outcome::Waits,
        };
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return $this->restsOn;
    }
}
