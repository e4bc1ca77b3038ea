<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Judged\Level;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Plan\Plan;

/**
 * What a signed job measured of its circuit, or why it says nothing: slips and mixed sums would teach what is not so.
 * The air is left out: what is topped up after a run is what was poured short, what the
 * coolant shrank by, and air, and no line tells them apart.
 */
final class FromJob
{
    /** Found so much short of its mark, as a share of the capacity, the first drain says nothing of the circuit. */
    private const SHORT = 0.04;

    public static function of(JobState $job): MeasuredJob|LeftOut
    {
        $plan = Plan::of($job);
        $capacity = $job->circuit->capacityMl();
        $drains = [];
        foreach ($job->stepsOf('drain') as $step) {
            $ran = $job->observed($step->id, DrainRan::class);
            if ($ran === []) {
                continue;
            }
            if (array_filter($ran, fn (DrainRan $one) => $one->withOthers) !== []) {
                return LeftOut::Together;
            }
            $at = $job->at($step, $ran[0]->at());
            $plusMinus = sqrt(array_sum(array_map(fn (DrainRan $one) => $one->read->toldWithinMl($at) ** 2, $ran)));
            $drains[] = [
                $step->params->text('port'),
                array_sum(array_map(fn (DrainRan $one) => $one->read->ml, $ran)),
                $plusMinus,
            ];
        }
        $found = $job->ledgerBefore(Stage::Drain)->contentMl;

        return match (true) {
            $drains === [] => LeftOut::NothingDrained,
            $plan->choices->noseLiftMm > 0.0 => LeftOut::Raised,
            array_filter(array_map(CameOut::of(...), $job->cameUp())) !== [] => LeftOut::AnotherWay,
            $capacity - $job->circuit->headspaceMl() - $found > self::SHORT * $capacity => LeftOut::NotFull,
            default => new MeasuredJob($drains, self::retained($job)),
        };
    }

    /** @return array{float, float} */
    private static function retained(JobState $job): array
    {
        $left = $job->ledgerBefore(Stage::Rinse);

        return [max(0.0, $left->contentMl), max($left->plusMinusMl, Level::plusMinusMl($job->circuit))];
    }
}
