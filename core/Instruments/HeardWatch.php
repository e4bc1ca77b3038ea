<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Evidence\HotStream;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\HeardRunning;
use Aqbel\Core\Observed\EngineHeard;
use Aqbel\Core\Observed\ShutOff;

/**
 * Hears by the count of its revolutions an engine that nobody said was started. Where one may run, and is not to be
 * run here, nothing is written as long as it is not hot: somebody moves the vehicle.
 */
final class HeardWatch
{
    /** Looked at over so long, s. */
    public const LOOKS_BACK_S = 20;

    /** A starter turns it slower and shorter; a count that stood so long is believed, s. */
    private const STANDS_S = 1.0;

    /** So long after somebody said that it is off it may still run down, s. */
    private const RUNS_DOWN_S = 5;

    /** What came earlier says nothing of now, s. */
    private const HOLDS_S = 10.0;

    /**
     * @param  array<string, list<array{float, float}>>  $channels  Unix seconds and value, by channel
     * @return list<RunLine>
     */
    public static function lines(Situation $at, array $channels): array
    {
        $since = ($at->latest(ShutOff::class)?->at() ?? 0) + self::RUNS_DOWN_S;
        $points = array_values(array_filter(
            ChannelKind::Rpm->believed($channels[ChannelKind::Rpm->value] ?? []),
            fn (array $point): bool => $point[0] > $since,
        ));
        $newest = $points === [] ? null : $points[count($points) - 1];
        $runs = $newest === null || $at->now - $newest[0] > self::HOLDS_S ? null : self::stands($points);
        if ($newest === null || $runs === null) {
            return [];
        }
        $coolantC = self::newest($channels, ChannelKind::Coolant, $newest[0]);
        $hot = HeardRunning::tooHot($at, $coolantC) !== null;
        $heard = HeardRunning::of($at)?->heard;
        $isNew = match (true) {
            ! $runs => $heard !== null,
            $heard !== null => $hot && $heard->coolantC === null,
            default => $hot || HeardRunning::isToRun($at) || HeardRunning::mayNot($at) !== null,
        };

        return $isNew ? [new RunLine(
            (int) floor($newest[0]),
            Lines::Heard->value,
            EngineHeard::streamed($runs, $newest[1], $runs && $hot ? $coolantC : null)->and(Told::byInstrument(null)),
        )] : [];
    }

    /**
     * The newest value at a moment, of not long before.
     *
     * @param  array<string, list<array{float, float}>>  $channels
     */
    private static function newest(array $channels, ChannelKind $kind, float $then): ?float
    {
        $value = null;
        foreach ($kind->believed($channels[$kind->value] ?? []) as [$at, $is]) {
            $value = abs($then - $at) <= self::HOLDS_S ? $is : $value;
        }

        return $value;
    }

    /** Whether any of it may be an engine that runs. */
    public static function turns(float $rpm): bool
    {
        return $rpm > HotStream::RUNS_RPM;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return ?bool whether it runs; null where it has only begun, or ended
     */
    private static function stands(array $points): ?bool
    {
        [$end, $rpm] = $points[count($points) - 1];
        $runs = self::turns($rpm);
        for ($i = count($points) - 2; $i >= 0 && self::turns($points[$i][1]) === $runs; $i--) {
            if ($end - $points[$i][0] >= self::STANDS_S) {
                return $runs;
            }
        }

        return null;
    }
}
