<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Observed\PointRuns;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\Plan;

/** What came in one job beside what its plan had said. It teaches no circuit: too much else has a hand in it. */
final readonly class Beside
{
    /** Poured before the first run, mL: all that goes in, less the air that is still to leave. */
    public const POURED = 'poured';

    /** Topped up, cold, after the first run, mL. */
    public const TOPPED = 'topped';

    /** Bleed points that ran when it was their turn. */
    public const POINTS = 'points';

    /** From the engine off until the neck was free, minutes. */
    public const COLD = 'cold';

    private function __construct(public string $what, public float $said, public float $came)
    {
    }

    /** @return list<self> those that this job tells of */
    public static function of(JobState $job): array
    {
        return array_values(
            array_filter([self::poured($job), self::topped($job), self::points($job), self::cold($job)]),
        );
    }

    private static function poured(JobState $job): ?self
    {
        $fill = Plan::of($job)->fill;
        $in = $job->ledgerBefore(Stage::RunHot)->inMl() - $job->ledgerBefore(Stage::Fill)->inMl();

        return $in <= 0.0 ? null : new self(self::POURED, max(0.0, $fill->coolantMl - $fill->waitsForARunMl()), $in);
    }

    private static function topped(JobState $job): ?self
    {
        $level = $job->stepsOf('cold_level')[0] ?? null;
        $topped = $level === null ? [] : $job->observed($level->id, ToppedUp::class);

        return $topped === []
            ? null
            : new self(self::TOPPED, Plan::of($job)->fill->waitsForARunMl(), ToppedUp::sumMl($topped));
    }

    private static function points(JobState $job): ?self
    {
        $said = array_map(fn (PortRun $run) => $run->port, Plan::of($job)->fill->flows);
        $ran = array_map(
            fn (Observation $runs) => $job->steps[$runs->told()->step]->params->text('port'),
            Told::inOrder($job->observedAnywhere(PointRuns::class)),
        );
        $ran = array_values(array_unique($ran));
        $kept = array_values(array_intersect($said, $ran));
        $inTurn = count(
            array_filter($kept, fn (string $port, int $i) => ($ran[$i] ?? null) === $port, ARRAY_FILTER_USE_BOTH),
        );

        return $kept === [] ? null : new self(self::POINTS, count($kept), $inTurn);
    }

    private static function cold(JobState $job): ?self
    {
        foreach ($job->stepsOf('cool_down') as $cool) {
            $run = $job->before($cool, 'heat_cycle');
            $off = $run === null ? [] : $job->observed($run->id, ShutOff::class);
            $free = $job->closed[$cool->id] ?? null;
            if ($off !== [] && $free !== null) {
                $rules = Plan::of($job)->rules();

                return new self(
                    self::COLD,
                    $rules->labour->of('cool_down')->wait * $rules->coolingFactor,
                    ($free->at - $off[count($off) - 1]->at()) / 60.0,
                );
            }
        }

        return null;
    }
}
