<?php

declare(strict_types=1);

namespace App\Floor;

use App\Models\Job;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\ShutOffNow;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Plan\LikelyRuns;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\NextChange;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\AnyTime\Finding;
use Aqbel\Core\Steps\StepCatalogue;

/** Writes a job's summary anew, so that no list has to fold every journal. */
final readonly class Projection
{
    public function __construct(private StepCatalogue $kinds)
    {
    }

    public function refresh(Job $job, JobState $state): void
    {
        $job->summary = $this->summary($state, $job->summary);
        $job->waits_until = $job->summary->until;
        $job->signed_at = $state->isSigned() ? now() : null;
        $danger = $this->danger($state);
        $job->danger_since = $danger === null ? null : $job->danger_since ?? now()->getTimestamp();
        $job->danger_place = $danger?->where;
        $job->save();
    }

    /** Whether the engine of the step in hand is to be shut off now. */
    private function danger(JobState $state): ?ShutOffNow
    {
        $step = $state->stepInHand();
        if ($step === null) {
            return null;
        }
        $at = $state->at($step, now()->getTimestamp());
        $runs = $this->kinds->does($step, Does::RunsEngine);

        return ShutOffNow::of($at, $runs ? $this->kinds->of($step)->judgement($at) : null);
    }

    private function summary(JobState $state, ?Summary $before): Summary
    {
        $now = now()->getTimestamp();
        $step = $state->stepInHand();
        $at = $step === null ? null : $state->at($step, $now);
        $kind = $step === null ? null : $this->kinds->of($step);
        $clock = $at === null ? null : $kind?->clock($at);
        $drawn = $this->drawn($state, $step);

        return new Summary(
            $state->journal->last(),
            $drawn,
            $before !== null && $before->drawn === $drawn ? $before->runs()->toArray() : (new StandsNow($state))->runs()->toArray(),
            $state->ports($now),
            $this->watch($state, $now),
            $step?->id,
            $step->stage ?? Stage::HandOver,
            count($state->closed),
            count($state->steps),
            $at === null ? null : $kind?->verdict($at)?->tone,
            $clock?->since,
            $clock?->until,
            $step === null ? [] : $this->lanes($state, $step, $clock !== null),
            NextChange::renews($state->ledger()->oldShare()),
        );
    }

    /** What the picture depends on: a tick or a reading that moves no coolant does not draw it again. */
    private function drawn(JobState $state, ?Step $inHand): string
    {
        $measured = array_map(
            fn (Step $step) => [$step->id, DrainRan::sumMl($state->observed($step->id, DrainRan::class))],
            $state->stepsThat(Does::Drains),
        );

        return sha1(
            (string) json_encode(
                [
                    $inHand?->stage,
                    $state->ledger()->contentMl,
                    $state->ledgerBefore(Stage::Drain)->contentMl,
                    $measured,
                ],
            ),
        );
    }

    /** @return list<string> */
    private function watch(JobState $state, int $now): array
    {
        $watch = Finding::watched($state);
        foreach ($state->steps as $step) {
            array_push($watch, ...$this->kinds->of($step)->watch($state->at($step, $now)));
        }

        return $watch;
    }

    /**
     * @param  bool  $running  whether a clock runs on the step in hand
     * @return list<Lane>
     */
    private function lanes(JobState $state, Step $inHand, bool $running): array
    {
        $lanes = [];
        $add = function (bool $hands, float $minutes) use (&$lanes): void {
            $last = count($lanes) - 1;
            if ($minutes > 0.0 && $last >= 0 && $lanes[$last]->hands === $hands) {
                $lanes[$last] = new Lane($hands, $lanes[$last]->minutes + $minutes);
            } elseif ($minutes > 0.0) {
                $lanes[] = new Lane($hands, $minutes);
            }
        };
        $further = $this->furtherRuns($state);
        foreach ($state->steps as $id => $step) {
            // They would come before what proves it.
            if ($further !== null && $step->stage->value >= Stage::Prove->value) {
                $add(true, $further->hands);
                $add(false, $further->wait);
                $further = null;
            }
            if (! isset($state->closed[$id]) && ! ($running && $id === $inHand->id)) {
                $labour = $this->kinds->labour($step, Plan::of($state)->choices);
                $add(true, $labour->hands);
                $add(false, $labour->wait);
            }
        }

        return $lanes;
    }

    /**
     * Runs that are likely on top of those in the sequence, as long as
     * none has told; from then on what was seen orders them.
     */
    private function furtherRuns(JobState $state): ?Minutes
    {
        $ran = array_filter($state->stepsOf('heat_cycle'), fn (Step $step) => isset($state->closed[$step->id]));

        return $ran === [] ? LikelyRuns::of(Plan::of($state), $state->circuit, $this->kinds)->further() : null;
    }
}
