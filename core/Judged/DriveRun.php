<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\Alarm;
use Aqbel\Core\Observed\Driven;
use Aqbel\Core\Observed\Needle;

/** A drive: its first alarm stands, whatever calmer drive follows; it proves once it was long enough, and hot. */
final readonly class DriveRun implements Judgement
{
    /** A drive proves from here on (common practice, no source). */
    public const LEAST_S = 600.0;

    public const LEAST_KM = 5.0;

    /** As hot as a thermostat opens fully, where nobody knows (common practice, no source). */
    private const USUAL_FULL_C = 85.0;

    /** Sensors differ by so much, °C (common practice, no source). */
    private const SENSOR_C = 5.0;

    private function __construct(public DriveCode $code, public Driven $drive, public float $limitC, public float $fullC)
    {
    }

    public static function of(Situation $at): ?self
    {
        $drives = $at->observed(Driven::class);
        if ($drives === []) {
            return null;
        }
        $limit = StopLimitAtNeck::of($at, Neck::Sealed)->limit->degC();
        $full = min($at->facts()->thermostatFullC ?? self::USUAL_FULL_C, $limit) - self::SENSOR_C;
        foreach (InOrder::of($at, [Driven::class], struckToo: true) as $drive) {
            $danger = self::danger($drive, $limit);
            if ($danger !== null) {
                return new self($danger, $drive, $limit, $full);
            }
        }
        $best = $drives[count($drives) - 1];
        foreach ($drives as $drive) {
            $best = self::shortOf($drive, $full) === null ? $drive : $best;
        }

        return new self(self::shortOf($best, $full) ?? DriveCode::RanCool, $best, $limit, $full);
    }

    public function isDanger(): bool
    {
        return in_array($this->code, [DriveCode::Limit, DriveCode::LevelAlarm, DriveCode::Overheats, DriveCode::Alarm], true);
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

    private static function shortOf(Driven $drive, float $fullC): ?DriveCode
    {
        $hot = $drive->hottestC === null ? $drive->needle === Needle::Middle : $drive->hottestC >= $fullC;

        return match (true) {
            ($drive->seconds ?? 0.0) < self::LEAST_S && ($drive->km ?? 0.0) < self::LEAST_KM => DriveCode::TooShort,
            ! $hot => DriveCode::NotHot,
            default => null,
        };
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            DriveCode::RanCool => Outcome::Passes,
            DriveCode::LevelAlarm, DriveCode::TooShort, DriveCode::NotHot => Outcome::Waits,
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
