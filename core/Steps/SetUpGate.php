<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Kind;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\StillSetUp;
use Aqbel\Core\Judged\TakenOff;
use Aqbel\Core\Observed\BaselineRead;
use Aqbel\Core\Observed\NotRunBefore;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;

/** No level is read with the nose up, and nothing is opened, filled or run on a circuit that was pumped up. */
final class SetUpGate
{
    private const CODE = 'still_set_up';

    /** Where coolant would spray, or a tester without a cap's valve would hold what heat makes. */
    private const NOT_UNDER_PRESSURE = [Does::RunsEngine, Does::OpensNeck, Does::Fills, Does::Drains, Does::Signs];

    private const NOT_NOSE_UP = [Does::ReadsLevel, Does::Signs];

    private const NOT_APART = [Does::LoadsJoints, Does::RunsEngine, Does::Fills, Does::Signs];

    /** What is to be set back first; empty where nothing is, and at a step that minds none of it. */
    public static function said(Situation $at, Kind $kind): string
    {
        $minds = fn (Does ...$does): bool => array_filter($does, $kind->does(...)) !== [];
        $said = array_map(fn (SetUp $what) => match (true) {
            $what === SetUp::NoseUp && $minds(...self::NOT_NOSE_UP) => 'By the journal its nose is still up. Stand it on level ground, and say so.',
            $what === SetUp::UnderPressure && $minds(...self::NOT_UNDER_PRESSURE) => 'It was pumped up, and nobody has said that the pressure is off. Let it off before the tester '
                .'comes off, and say so.',
            $what === SetUp::JointOff && $minds(...self::NOT_APART) => 'By the journal it came off, and nobody has said that it is back: '
                .implode(', ', self::off($at))
                .'. Put it back, and say so.',
            default => '',
        }, self::isNotRun($at) ? [] : StillSetUp::of($at));

        return implode(' ', array_filter($said));
    }

    /** Where nobody runs it before the work nothing is to be set back for that. */
    public static function isNotRun(Situation $at): bool
    {
        $told = $at->observed(NotRunBefore::class) !== [] || $at->observed(BaselineRead::class) !== [];

        return $told && $at->job->kinds->of($at->step)->ran($at) === null;
    }

    /** @return list<string> */
    private static function off(Situation $at): array
    {
        $off = array_values(array_unique(
            array_map(fn (TakenOff $off) => $off->label(), TakenOff::standing($at->job)),
        ));

        return $off === [] ? ['what the job before left off'] : $off;
    }

    public static function verdict(Situation $at, Kind $kind): ?Verdict
    {
        $said = self::said($at, $kind);

        return $said === '' ? null : Verdict::wait(self::CODE, 'Set it back first', $said);
    }

    /** @return list<Obstacle> */
    public static function obstacles(Situation $at, Kind $kind): array
    {
        $said = self::said($at, $kind);

        return $said === '' ? [] : [Obstacle::missing(self::CODE, $said)];
    }
}
