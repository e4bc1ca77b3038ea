<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Observed\Alarm;
use Aqbel\Core\Observed\Driven;
use Aqbel\Core\Observed\Needle;

/**
 * A drive: its first alarm stands, whatever calmer drive follows; it proves once it was long enough, and hot, on a
 * circuit that by its sums was full enough to run. How long is told; that it can have lasted so long is the server's to
 * know.
 */
final readonly class DriveRun implements Judgement
{
    /** A drive proves from here on (common practice, no source). */
    public const LEAST_S = 600.0;

    public const LEAST_KM = 5.0;

    /** Nobody gets farther, m/s (common practice, no source). */
    private const FASTEST_M_S = 40.0;

    /** As hot as a thermostat opens fully, where nobody knows (common practice, no source). */
    private const USUAL_FULL_C = 85.0;

    /** Sensors differ by so much, °C (common practice, no source). */
    private const SENSOR_C = 5.0;

    private function __construct(
        public DriveCode $code,
        public Driven $drive,
        public float $limitC,
        public float $fullC,
    ) {
    }

    public static function of(Situation $at): ?self
    {
        $drives = $at->observed(Driven::class);
        if ($drives === []) {
            return null;
        }
        $limit = StopLimitAtNeck::of($at, Neck::Sealed)->limit->degC();
        $full = self::fullC($at->facts(), $limit);
        foreach (InOrder::of($at, [Driven::class], struckToo: true) as $drive) {
            $danger = self::danger($drive, $limit);
            if ($danger !== null) {
                return new self($danger, $drive, $limit, $full);
            }
        }
        $best = $drives[count($drives) - 1];
        if (self::wasDry($at, $best)) {
            return new self(DriveCode::TooLittle, $best, $limit, $full);
        }
        foreach ($drives as $drive) {
            $best = self::shortOf($at, $drive, $full) === null ? $drive : $best;
        }

        return new self(self::shortOf($at, $best, $full) ?? DriveCode::RanCool, $best, $limit, $full);
    }

    /** Whether it was driven on too little: so it is by what counts now, and was by what was told before it. */
    private static function wasDry(Situation $at, Driven $drive): bool
    {
        $dry = fn (Situation $then): bool => Sums::wrongInside($then) !== null || ! EnoughToRun::of($then)->is;

        return $dry($at) && $dry($at->job->asFoundBy($drive->told()->seq)->at($at->step, $at->now));
    }

    /** From here on it was as hot as it gets, °C: full open, as far as sensors agree. */
    public static function fullC(Facts $facts, float $limitC): float
    {
        return min($facts->thermostatFullC ?? self::USUAL_FULL_C, $limitC) - self::SENSOR_C;
    }

    public function isDanger(): bool
    {
        return in_array(
            $this->code,
            [DriveCode::Limit, DriveCode::LevelAlarm, DriveCode::Overheats, DriveCode::Alarm],
            true,
        );
    }

    /** Whether a drive alone is enough to end it. */
    public static function endsIt(Situation $at, Driven $drive): bool
    {
        return self::danger($drive, StopLimitAtNeck::of($at, Neck::Sealed)->limit->degC()) !== null;
    }

    private static function danger(Driven $drive, float $limitC): ?DriveCode
    {
        return match (true) {
            $drive->hottestC !== null && $drive->hottestC >= $limitC => DriveCode::Limit,
            $drive->alarm === Alarm::Hot || $drive->needle === Needle::High => DriveCode::Overheats,
            $drive->alarm === Alarm::Other => DriveCode::Alarm,
            $drive->alarm === Alarm::Level => DriveCode::LevelAlarm,
            default => null,
        };
    }

    private static function shortOf(Situation $at, Driven $drive, float $fullC): ?DriveCode
    {
        $hot = $drive->hottestC === null
            ? $drive->needle === Needle::Middle || $drive->byHand
            : $drive->hottestC >= $fullC;
        $passedS = $drive->at() - Since::earliest($at, $drive, Stage::Cool) + Since::SLACK_S;

        return match (true) {
            ($drive->seconds ?? 0.0) < self::LEAST_S && ($drive->km ?? 0.0) < self::LEAST_KM => DriveCode::TooShort,
            $passedS < min($drive->seconds >= self::LEAST_S ? self::LEAST_S : INF, self::fastestS($drive)) => DriveCode::NotSoLong,
            ! $hot => DriveCode::NotHot,
            default => null,
        };
    }

    /** The least that the shortest way which proves takes; for ever where none was told. */
    private static function fastestS(Driven $drive): float
    {
        return ($drive->km ?? 0.0) < self::LEAST_KM ? INF : self::LEAST_KM * 1000.0 / self::FASTEST_M_S;
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            DriveCode::RanCool => Outcome::Passes,
            DriveCode::LevelAlarm, DriveCode::TooShort, DriveCode::NotSoLong, DriveCode::NotHot => Outcome::Waits,
            default => Outcome::Stops,
        };
    }

    public function latches(): bool
    {
        return $this->isDanger();
    }

    public function restsOn(): array
    {
        return [$this->drive];
    }
}
