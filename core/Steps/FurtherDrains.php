<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Circuit\PartVolume;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Plan\FurtherDrain;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Values;

/** The drain points that are still shut, and what it takes to open one more. */
final class FurtherDrains
{
    private const NAMED_PARTS = 3;

    /** @return list<FurtherDrain> points without a step so far, those that would let out most first */
    public static function notOpened(JobState $job): array
    {
        return array_values(
            array_filter(
                Plan::of($job)->predicted->further,
                fn (FurtherDrain $f) => ! isset($job->steps["drain:{$f->port}"]),
            ),
        );
    }

    public static function stillShut(JobState $job, string $port): ?FurtherDrain
    {
        foreach (self::notOpened($job) as $further) {
            if ($further->port === $port) {
                return $further;
            }
        }

        return null;
    }

    /**
     * Points still shut, in words: what each would let out and what it costs.
     *
     * @return array<string, string> by port
     */
    public static function choices(Situation $at): array
    {
        $choices = [];
        foreach (self::notOpened($at->job) as $further) {
            $choices[$further->port] = self::say($at, $further);
        }

        return $choices;
    }

    /**
     * The same of every point the plan left shut, opened since or not.
     *
     * @return array<string, string> by port
     */
    public static function everyChoice(Situation $at): array
    {
        $choices = [];
        foreach (Plan::of($at)->predicted->further as $further) {
            $choices[$further->port] = self::say($at, $further);
        }

        return $choices;
    }

    /** A drain point that was not on the plan, as a step of its own. */
    public static function further(Situation $at, FurtherDrain $further): Step
    {
        $circuit = $at->circuit();
        $ran = [];
        foreach ($at->job->stepsOf('drain') as $step) {
            if (! DrainsInTurn::blocked($at->job, $step)) {
                $ran[] = $step->params->text('port');
            }
        }
        $lift = Plan::of($at)->choices->noseLiftMm;
        $drained = fn (string ...$ports): float => Drainage::usual($circuit, array_values($ports), $lift)->drainedMl;
        $empties = array_map(fn (PartVolume $v) => $v->part->id, $further->letsOut->byPart($circuit));

        return new Step("drain:{$further->port}", 'drain', Stage::Drain, new Values([
            'port' => $further->port, 'predicted_ml' => $drained(...$ran, ...[$further->port]) - $drained(...$ran),
            'first' => false, 'empties' => array_slice($empties, 0, self::NAMED_PARTS),
        ]));
    }

    private static function say(Situation $at, FurtherDrain $further): string
    {
        return "{$at->circuit()->port($further->port)->label}, "
            ."{$at->litres($further->volumeMl)} in ".round($further->minutes).' min';
    }
}
