<?php

declare(strict_types=1);

namespace App\Floor;

use App\Models\Job;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Flow\Standing;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\EnoughToRun;
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
    /**
     * Half a mark of the coarsest vessel, and 5 % of the reading: short by less does not leave a sliver in the
     * picture.
     */
    private const VESSEL_ML = 250.0;

    private const READING_SHARE = 1.05;

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
            $before !== null && $before->drawn === $drawn ? $before->runs()->toArray() : $this->runs($state)->toArray(),
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

    /** Where coolant and air stand now: measured where measured, from the model where not. */
    private function runs(JobState $state): Runs
    {
        $plan = Plan::of($state);
        $stage = $state->stepInHand()->stage ?? Stage::HandOver;
        $rinsed
            = $stage === Stage::Rinse && array_filter($state->steps, fn (Step $s) => $s->params->has('cycle')) !== [];
        if ($rinsed || $this->isUnderWater($state, $stage)) {
            return Standing::of($state->circuit, max(0.0, $state->ledger()->contentMl));
        }
        if ($stage->value <= Stage::Mix->value) {
            return $this->drained($state);
        }

        return $this->isFilling($state)
            ? $plan->school->picture($state) ?? $this->drained($state)
            : $this->filled($state, $stage);
    }

    /**
     * Air only as much as the sums tell, where the model keeps it; none once it is proven, within what they can tell. More
     * than any fill leaves stands nowhere the model knows: then what is inside is drawn as it would stand.
     */
    private function filled(JobState $state, Stage $stage): Runs
    {
        [$plan, $ledger, $inHand] = [Plan::of($state), $state->ledger(), $state->stepInHand()];
        $air = $ledger->trappedAirMl();
        if ($inHand !== null && $ledger->lines !== [] && ! EnoughToRun::of($state->at($inHand, 0))->is) {
            return Standing::of($state->circuit, max(0.0, $ledger->contentMl));
        }

        return $air <= ($stage->value >= Stage::Prove->value ? $ledger->trappedAirPlusMinusMl() : 0.0)
            ? $plan->predicted->fullRuns
            : Standing::withAir($state->circuit, $plan->fill->runs, $air);
    }

    /** Filled with water for a leak nobody found, after it was closed up. */
    private function isUnderWater(JobState $state, Stage $stage): bool
    {
        $more = $state->ledger()->contentMl - $state->ledgerBefore(Stage::CloseUp)->contentMl;

        return ($stage === Stage::CloseUp || $stage === Stage::Mix) && $more > self::VESSEL_ML;
    }

    /** Whether coolant is still to go in before the first start. */
    private function isFilling(JobState $state): bool
    {
        $ahead = fn (Step $step): bool => ! isset($state->closed[$step->id])
            && in_array(
                $step->stage,
                [Stage::Fill, Stage::Vacuum],
                true,
            ) && $this->kinds->does($step, Does::MovesCoolant);

        return array_filter($state->steps, $ahead) !== [];
    }

    /** The full circuit less what each drain let out, as measured so far. */
    private function drained(JobState $state): Runs
    {
        // What was air at the top before the first drain came out of none of them.
        $above = max(0.0, $state->circuit->capacityMl() - $state->ledgerBefore(Stage::Drain)->contentMl);
        [$open, $measured] = [[], []];
        foreach ($state->stepsThat(Does::Drains) as $step) {
            $ran = $state->observed($step->id, DrainRan::class);
            if ($ran === []) {
                continue;
            }
            $open[] = $step->params->text('port');
            // One whose share stands in the figure of another has let out what it could.
            if (! DrainsInTurn::isInAnothers($state, $step)) {
                $measured[$step->params->text('port')]
                    = self::READING_SHARE * DrainRan::sumMl($ran) + self::VESSEL_ML + $above;
                $above = 0.0;
            }
        }
        $plan = Plan::of($state);

        if ($open === []) {
            return $plan->predicted->fullRuns;
        }
        $gates = $state->circuit->usualGates();

        return Drainage::of(
            $state->circuit,
            $open,
            $gates,
            $plan->choices->noseLiftMm,
            measured: $measured,
        )->runs;
    }
}
