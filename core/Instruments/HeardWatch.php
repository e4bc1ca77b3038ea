<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Evidence\HotStream;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\HeardRunning;
use Aqbel\Core\Observed\EngineHeard;

/**
 * Hears by the count of its revolutions that an engine runs at a step that knows of no run. Where one may run nothing
 * is written: somebody moves the vehicle.
 */
final class HeardWatch
{
    /** Looked at over so long, s. */
    public const LOOKS_BACK_S = 20;

    /** A starter turns it slower and shorter; a count that stood so long is believed, s. */
    private const STANDS_S = 1.0;

    /** What came earlier says nothing of now, s. */
    private const HOLDS_S = 10.0;

    /**
     * @param  array<string, list<array{float, float}>>  $channels  Unix seconds and value, by channel
     * @return list<RunLine>
     */
    public static function lines(Situation $at, array $channels): array
    {
        $points = ChannelKind::Rpm->believed($channels[ChannelKind::Rpm->value] ?? []);
        $newest = $points === [] ? null : $points[count($points) - 1];
        $runs = $newest === null || $at->now - $newest[0] > self::HOLDS_S ? null : self::stands($points);
        $heard = $at->latest(EngineHeard::class)?->runs === true;
        $isNew = $runs === false ? $heard : $runs === true && ! $heard && HeardRunning::mayNot($at) !== null;

        return $newest === null || $runs === null || ! $isNew ? [] : [new RunLine(
            (int) floor($newest[0]),
            Lines::Heard->value,
            EngineHeard::streamed($runs, $newest[1])->and(Told::byInstrument(null)),
        )];
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
