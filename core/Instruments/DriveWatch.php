<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\DriveRun;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Observed\Driven;

/**
 * Watches a drive whose instruments send: the limit is danger on the
 * road too. That it ran cool is for who drove it to say.
 */
final class DriveWatch
{
    /** Of a drive so long is looked at, s. */
    public const LOOKS_BACK_S = 900;

    /**
     * @param  array<string, list<array{float, float}>>  $channels  Unix seconds and value, by channel
     * @return list<RunLine>
     */
    public static function lines(Situation $at, array $channels): array
    {
        $limit = StopLimitAtNeck::of($at, Neck::Sealed)->limit->degC();
        [$first, $over] = [null, null];
        foreach ([ChannelKind::Coolant, ChannelKind::FarSide] as $kind) {
            foreach ($channels[$kind->value] ?? [] as [$second, $celsius]) {
                $first = min($first ?? $second, $second);
                if ($celsius >= $limit && $kind->canBe($celsius) && ($over === null || $second < $over[0])) {
                    $over = [$second, $celsius];
                }
            }
        }
        if ($over === null || DriveRun::of($at)?->isDanger() === true) {
            return [];
        }

        return [
            new RunLine(
                (int) ceil($over[0]),
                Driven::form(),
                Driven::streamed($over[0] - $first, $over[1])->and(Told::byInstrument('limit_reached')),
            ),
        ];
    }
}
