<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Kind;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\StandsOpen;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;

/**
 * Nothing is pressed, pulled, run, driven or signed with a point open that nobody is to shut any more, and nothing is
 * poured in above an open drain.
 */
final class OpenPoints
{
    private const CODE = 'stands_open';

    /** What stands open and has to be shut first; empty where nothing does, and at a step that minds none. */
    public static function said(Situation $at, Kind $kind): string
    {
        $minds = $kind->does(Does::LoadsJoints) || $kind->does(Does::RunsEngine) || $kind->does(Does::Signs);
        $open = ! SetUpGate::isNotRun($at) && ($minds || $kind->does(Does::Fills)) ? StandsOpen::of($at) : [];
        // While it is filled air leaves by what is open above; by a drain the coolant does.
        $open = $minds ? $open : array_filter(
            $open,
            fn (string $port) => $at->circuit()->port($port)->kind === PortKind::Drain,
        );
        $names = implode(', ', array_map(fn (string $port) => $at->circuit()->port($port)->label, $open));

        return match (count($open)) {
            0 => '',
            1 => "{$names} is not recorded as closed. Shut it, and say so.",
            default => "{$names} are not recorded as closed. Shut them, and say so.",
        };
    }

    public static function verdict(Situation $at, Kind $kind): ?Verdict
    {
        $said = self::said($at, $kind);

        return $said === '' ? null : Verdict::wait(self::CODE, 'A point stands open', $said);
    }

    /** @return list<Obstacle> */
    public static function obstacles(Situation $at, Kind $kind): array
    {
        $said = self::said($at, $kind);

        return $said === '' ? [] : [Obstacle::missing(self::CODE, $said)];
    }
}
