<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Source;
use Aqbel\Core\Observed\HoldLengthSet;
use Aqbel\Core\Observed\HoldRestarted;
use Aqbel\Core\Observed\NeedleRead;
use Aqbel\Core\Plan\HoldLength;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\GaugeReading;
use Aqbel\Core\Vacuum\HoldVerdict;
use Aqbel\Core\Vacuum\VacuumHold;

/**
 * A vacuum that is held: by its readings since the valve was closed, over its length by the server's clock. Its first
 * reading is that of the closed valve: the pull's last if the pull was over within a minute of it, else its own; or
 * one at which the needle stands deeper than it did, which pumping alone can do.
 */
final readonly class VacuumHeld implements Judgement
{
    /** A circuit that counts as drained holds at least so much gas, mL. */
    private const LEAST_VOID_ML = 500.0;

    /** A reading so soon after another is that of the valve being closed, s (common practice, no source). */
    private const CLOSING_S = 60;

    /** From so long on it is a test, and no glance, s (common practice, no source). */
    private const TEST_S = 600.0;

    /** An instrument shows so much more finely than a needle, inHg (common practice, no source). */
    private const BY_INSTRUMENT_IN_HG = 0.1;

    /** No hold ends sooner, whatever shows it, s; nor by fewer readings than these (common practice, no source). */
    private const SOONEST_S = 240.0;

    private const FEWEST = 5;

    /**
     * @param  non-empty-list<NeedleRead>  $readings  since the valve was closed, or the needle rose
     * @param  bool  $over  whether it was held, and read, to its end, or
     * shown by an instrument that no longer hold would tell more
     * @param  bool  $early  whether it is over before its time
     */
    private function __construct(
        public VacuumHold $hold,
        public array $readings,
        public float $seconds,
        public bool $over,
        public bool $early,
        private bool $ownReading,
    ) {
    }

    /** Null before there is a reading. */
    public static function of(Situation $at): ?self
    {
        return $at->judged(self::class, fn (): ?self => self::judge($at));
    }

    private static function judge(Situation $at): ?self
    {
        $readings = self::readings($at);
        if ($readings === []) {
            return null;
        }
        $air = Gauge::air($at);
        $points = [];
        foreach ($readings as $read) {
            $second = (float) ($read->at() - $readings[0]->at());
            if ($points === [] || $second > $points[count($points) - 1]->second) {
                $points[] = new GaugeReading($second, Pressure::kilopascals($read->kPa($air)));
            }
        }
        $seconds = self::seconds($at);
        $last = $readings[count($readings) - 1];
        $hold = new VacuumHold(
            $air,
            Volume::millilitres(self::voidMl($at)),
            $points,
            Gauge::resolution($at),
            self::target($at),
        );
        $since = $readings[0]->at() + $hold->startsAt;
        $readings = array_values(array_filter($readings, fn (NeedleRead $read) => $read->at() >= $since)) ?: [$last];

        $held = $last->at() - $readings[0]->at() >= $seconds;
        $early = ! $held && self::isShown($at, $hold, $readings, $points, $seconds);

        return new self($hold, $readings, $seconds, $held || $early, $early, $at->observed(NeedleRead::class) !== []);
    }

    /**
     * Whether an instrument has shown already what a needle would at the end: tight by both, and no leak
     * left open that the whole hold by hand would close out.
     *
     * @param  list<NeedleRead>  $readings
     * @param  list<GaugeReading>  $points
     */
    private static function isShown(
        Situation $at,
        VacuumHold $byHand,
        array $readings,
        array $points,
        float $seconds,
    ): bool {
        $byInstrument = count(
            array_filter($readings, fn (NeedleRead $read) => $read->told()->source === Source::Instrument),
        );
        $gone = $points[count($points) - 1]->second - $byHand->startsAt;
        if (
            $byInstrument < max(self::FEWEST, count($readings) - 1)
            || $gone < self::SOONEST_S
            || $byHand->verdict !== HoldVerdict::Tight
        ) {
            return false;
        }
        $fine = new VacuumHold(
            Gauge::air($at),
            Volume::millilitres(self::voidMl($at)),
            $points,
            Pressure::inchesOfMercury(self::BY_INSTRUMENT_IN_HG),
            self::target($at),
        );
        $bound = $fine->boundMlPerMinute();
        // What the shop's needle can show at all over the whole hold.
        $wanted = ($byHand->detectableMlPerMinute() ?? 0.0) * $gone / $seconds;

        return $fine->verdict === HoldVerdict::Tight && $bound !== null && $bound <= $wanted;
    }

    /** @return list<NeedleRead> */
    private static function readings(Situation $at): array
    {
        $own = $at->observed(NeedleRead::class);
        $restart = $at->latest(HoldRestarted::class);
        if ($restart !== null) {
            return array_values(array_filter($own, fn (NeedleRead $read) => $read->isAfter($restart)));
        }
        $pull = $at->job->before($at->step, 'pull');
        $pulled = $pull === null ? null : $at->seenFrom($pull)->latest(NeedleRead::class);
        if ($pull === null || $pulled === null || ($own !== [] && self::startsAnew($at, $pulled, $own[0]))) {
            return $own;
        }
        $closed = $at->job->closed[$pull->id]->at ?? $pulled->at();

        return $closed - $pulled->at() > self::CLOSING_S && $own !== [] ? $own : [$pulled, ...$own];
    }

    /** Read as the valve was closed, or pulled on in between: later, an equal or a lower one never starts it anew. */
    private static function startsAnew(Situation $at, NeedleRead $pulled, NeedleRead $own): bool
    {
        $air = Gauge::air($at);

        return $own->at() - $pulled->at() <= self::CLOSING_S
            || $own->kPa($air) >= $pulled->kPa($air) + Gauge::resolution($at)->kPa();
    }

    /** How long it is to be held, s. */
    public static function seconds(Situation $at): float
    {
        return self::ownSeconds($at) ?? 60.0 * Plan::of($at)->rules()->minutesOf(self::length($at));
    }

    public static function length(Situation $at): HoldLength
    {
        return $at->latest(HoldLengthSet::class)->length ?? Plan::of($at)->rules()->holdLength;
    }

    private static function ownSeconds(Situation $at): ?float
    {
        return $at->latest(HoldLengthSet::class)?->ownSeconds;
    }

    /** Whether the last hold proved the circuit tight, by a test and not by a glance; null where none was held. */
    public static function proved(JobState $job): ?bool
    {
        $holds = $job->stepsOf('hold');
        if ($holds === []) {
            return null;
        }
        $last = $holds[count($holds) - 1];
        $at = $job->at($last, $job->closed[$last->id]->at ?? 0);
        $held = self::of($at);
        $isTest = self::ownSeconds($at) === null
                ? self::length($at) === HoldLength::Real
                : self::ownSeconds($at) >= self::TEST_S;

        return $held !== null && $held->proves() && $isTest;
    }

    public function proves(): bool
    {
        return $this->hold->verdict === HoldVerdict::Tight && $this->ownReading;
    }

    public static function voidMl(Situation $at): float
    {
        return max(self::LEAST_VOID_ML, $at->job->ledger()->voidMl());
    }

    /** What was to be reached at the pull before; null where none was planned. */
    private static function target(Situation $at): ?Pressure
    {
        return $at->job->before($at->step, 'pull') === null ? null : Pressure::kilopascals(Gauge::targetKpa($at));
    }

    public function code(): string
    {
        return $this->hold->verdict->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->hold->verdict) {
            HoldVerdict::Tight => Outcome::Passes,
            HoldVerdict::Leak, HoldVerdict::Opened, HoldVerdict::Lost => Outcome::Stops,
            default => Outcome::Waits,
        };
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return $this->readings;
    }
}
