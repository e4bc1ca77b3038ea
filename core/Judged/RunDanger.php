<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\EngineHeard;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\Needle;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\Sign;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Observed\ToldInHaste;
use Aqbel\Core\Observed\Warmth;

/**
 * The first danger of a run, latched: from then on the run cannot be proven, however calm the next readings are, and
 * also where its line was taken back. It ends in shut-off, cool-down and a cause, or a stated “not found”.
 */
final readonly class RunDanger implements Judgement
{
    /** Colder than this behind a thermostat that should be wide open: it is shut (common practice, no source). */
    private const THERMOSTAT_GAP_C = 30.0;

    /**
     * So far past full open, and no earlier, a shut thermostat is told from a slow one (common practice, no source).
     */
    private const PAST_FULL_OPEN_C = 3.0;

    /** A live reading so far below a hot far side is not of coolant (common practice, no source). */
    private const SENSOR_GAP_C = 25.0;

    /** A far side as hot as this has hot coolant in it, °C (common practice, no source). */
    private const FAR_HOT_C = 75.0;

    /** Of what an instrument showed. */
    private const SHOWN = ['sensor_in_air' => DangerCode::SensorInAir, 'thermostat_shut' => DangerCode::ThermostatShut];

    private const TOLD = [
        Started::class, HotReading::class, FeltReading::class, ToldInHaste::class, ShutOff::class, CameOut::class,
        EngineHeard::class,
    ];

    /** @param  ?float  $hottestC  what was read then; null where nothing was */
    private function __construct(
        public DangerCode $code,
        private Observation $because,
        public StopLimit $limit,
        public ?float $hottestC = null,
        public ?float $farC = null,
    ) {
    }

    /**
     * Null while there was none.
     *
     * @param  bool  $onWater  where a run is meant to end at its
     * limit, and may be begun again: that alone does not latch
     */
    public static function first(Situation $at, StopLimit $limit, bool $onWater = false): ?self
    {
        $heater = HeaterWatch::of($at, $limit);
        [$runs, $atLimit] = [false, null];
        foreach (InOrder::of($at, self::TOLD, struckToo: true) as $told) {
            // Before the watch of the heater failed, with the line that ended it, or after.
            $watch = $heater->failedAt === null ? null : $told->told()->at <=> $heater->failedAt;
            if ($watch === 1 && $heater->since !== null) {
                return new self(DangerCode::HeaterCold, $heater->since, $limit);
            }
            $atLimit = $told instanceof Started ? null : $atLimit;
            $runs = $told instanceof Started || ($runs && ! $told instanceof ShutOff);
            $danger = match (true) {
                $told instanceof HotReading => self::read($at->facts(), $told, $limit),
                $told instanceof FeltReading => self::felt($told, $limit),
                $told instanceof ToldInHaste => self::inHaste($told, $limit),
                $told instanceof EngineHeard => self::heard($told, $limit),
                $told instanceof CameOut && $runs && Level::tells($at->circuit(), $told->ml()) => new self(
                    DangerCode::CoolantLost,
                    $told,
                    $limit,
                ),
                default => null,
            };
            if ($danger !== null && $onWater && $danger->endsARinse()) {
                $atLimit ??= $danger;
            } elseif ($danger !== null) {
                return $danger;
            }
            // What the line says itself comes before what it brings to an end.
            if ($watch === 0 && $heater->since !== null) {
                return new self(DangerCode::HeaterCold, $heater->since, $limit);
            }
        }

        return $heater->failedAt !== null && $heater->since !== null
            ? new self(DangerCode::HeaterCold, $heater->since, $limit)
            : $atLimit;
    }

    /** What was seen, where that ended the run. */
    public function sign(): Sign
    {
        return self::signOf($this->because);
    }

    /** Whether it is what a rinse on water is meant to end at: its limit, and nothing has boiled. */
    public function endsARinse(): bool
    {
        return $this->code === DangerCode::Limit && ($this->hottestC ?? INF) < $this->limit->boiling->degC();
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return Outcome::Stops;
    }

    public function latches(): bool
    {
        return true;
    }

    public function restsOn(): array
    {
        return [$this->because];
    }

    private static function signOf(Observation $told): Sign
    {
        return match (true) {
            $told instanceof HotReading, $told instanceof FeltReading => $told->besides->sign,
            $told instanceof ToldInHaste => $told->sign,
            default => Sign::None,
        };
    }

    /** What a line tells of a running engine; null where that is nothing. */
    public static function told(Entry $line): HotReading|FeltReading|ToldInHaste|null
    {
        return HotReading::of($line) ?? FeltReading::of($line) ?? ToldInHaste::of($line);
    }

    /** Whether a line is believed before anything beside it is asked again: a sign, or past the limit. */
    public static function comesFirst(Entry $line, StopLimit $limit): bool
    {
        $told = self::told($line);

        return $told !== null && (self::signOf($told) !== Sign::None || match (true) {
            $told instanceof HotReading => $told->hottestC() >= $limit->limit->degC(),
            $told instanceof FeltReading => $told->needle === Needle::High,
            default => $told->farC >= $limit->limit->degC(),
        });
    }

    /** Whether a line alone is enough to end a run: it is not taken back without a reason. */
    public static function isIn(Situation $at, Observation $told, StopLimit $limit): bool
    {
        return match (true) {
            $told instanceof HotReading => self::read($at->facts(), $told, $limit) !== null,
            $told instanceof FeltReading => self::felt($told, $limit) !== null,
            $told instanceof ToldInHaste => self::inHaste($told, $limit) !== null,
            $told instanceof CameOut => Level::tells($at->circuit(), $told->ml()),
            default => false,
        };
    }

    /** The live reading is not of coolant. */
    public static function sensorInAir(float $coolantC, float $farC): bool
    {
        return $farC >= self::FAR_HOT_C && $farC - $coolantC > self::SENSOR_GAP_C;
    }

    private static function read(Facts $facts, HotReading $reading, StopLimit $limit): ?self
    {
        $far = $reading->farC;
        $code = match (true) {
            $reading->besides->sign !== Sign::None => DangerCode::Sign,
            $reading->hottestC() >= $limit->limit->degC() => DangerCode::Limit,
            $far !== null && self::sensorInAir($reading->coolantC, $far) => DangerCode::SensorInAir,
            $far !== null && self::thermostatShut($facts, $reading->coolantC, $far) => DangerCode::ThermostatShut,
            // Read once a second, the same is told earlier and surer than from a point by hand.
            default => self::SHOWN[$reading->told()->shows] ?? null,
        };

        return $code === null ? null : new self($code, $reading, $limit, $reading->hottestC(), $far);
    }

    /** Too hot before anybody said that it was started. */
    private static function heard(EngineHeard $heard, StopLimit $limit): ?self
    {
        return $heard->coolantC !== null && $heard->coolantC >= $limit->limit->degC()
            ? new self(DangerCode::Limit, $heard, $limit, $heard->coolantC)
            : null;
    }

    private static function felt(FeltReading $felt, StopLimit $limit): ?self
    {
        $code = match (true) {
            $felt->besides->sign !== Sign::None => DangerCode::Sign,
            $felt->needle === Needle::High => DangerCode::NeedleHigh,
            $felt->hose === Warmth::Hot && $felt->needle === Needle::Low => DangerCode::SensorInAir,
            default => null,
        };

        return $code === null ? null : new self($code, $felt, $limit);
    }

    private static function inHaste(ToldInHaste $told, StopLimit $limit): ?self
    {
        $code = match (true) {
            $told->sign !== Sign::None => DangerCode::Sign,
            $told->farC >= $limit->limit->degC() => DangerCode::Limit,
            default => null,
        };

        return $code === null ? null : new self($code, $told, $limit, $told->farC, $told->farC);
    }

    private static function thermostatShut(Facts $facts, float $coolantC, float $farC): bool
    {
        $full = $facts->thermostatFullC;

        return $full !== null
            && $coolantC >= $full + self::PAST_FULL_OPEN_C
            && $coolantC - $farC > self::THERMOSTAT_GAP_C;
    }
}
