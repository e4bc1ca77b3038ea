<?php

declare(strict_types=1);

namespace App\Floor;

use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Flow\Standing;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\EnoughToRun;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Plan\Plan;

/** Where coolant and air stand in the middle of a job, as it is drawn: never against what the sums say is inside. */
final readonly class StandsNow
{
    /**
     * Half a mark of the coarsest vessel, and 5 % of the reading: short by less does not leave a sliver in the
     * picture.
     */
    private const VESSEL_ML = 250.0;

    private const READING_SHARE = 1.05;

    /** A picture tells no less than this share of the capacity (common practice, no source). */
    private const TELLS = 0.04;

    public function __construct(private JobState $state)
    {
    }

    public function runs(): Runs
    {
        $runs = $this->modelled();

        return $this->agrees($runs) ? $runs : $this->bySums();
    }

    /** Whether what is drawn is what the sums leave inside, within what they and a picture tell. */
    private function agrees(Runs $runs): bool
    {
        [$ledger, $circuit] = [$this->state->ledger(), $this->state->circuit];
        $inside = min($circuit->capacityMl(), max(0.0, $ledger->contentMl));
        $within = max($ledger->plusMinusMl, self::TELLS * $circuit->capacityMl()) + $ledger->headspaceMl;

        return $ledger->lines === []
            || (abs($runs->coolant($circuit)->sum() - $inside) <= $within && ! $this->cameInEmpty());
    }

    /** What stays after a drain is the model's to say; where nothing was inside nothing stays. */
    private function cameInEmpty(): bool
    {
        $found = $this->state->ledgerBefore(Stage::Drain);

        return ($this->state->stepInHand()->stage ?? Stage::HandOver)->value <= Stage::Mix->value
            && $found->contentMl <= $found->plusMinusMl
            && $this->state->ledger()->contentMl <= $this->state->ledger()->plusMinusMl;
    }

    /** What is missing as air where the fill leaves some, as far as that is; else what is inside as it would stand. */
    private function bySums(): Runs
    {
        [$ledger, $circuit] = [$this->state->ledger(), $this->state->circuit];
        $fill = Plan::of($this->state)->fill->runs;
        $air = max(0.0, $ledger->trappedAirMl());
        $isFilled = ($this->state->stepInHand()->stage ?? Stage::HandOver)->value >= Stage::Fill->value;

        return $isFilled && $air <= $fill->trapped($circuit)->sum()
            ? Standing::withAir($circuit, $fill, $air)
            : Standing::of($circuit, max(0.0, $ledger->contentMl));
    }

    /** Measured where measured, from the model where not. */
    private function modelled(): Runs
    {
        $plan = Plan::of($this->state);
        $stage = $this->state->stepInHand()->stage ?? Stage::HandOver;
        $rinsed
            = $stage === Stage::Rinse && array_filter($this->state->steps, fn (Step $s) => $s->params->has('cycle')) !== [];
        if ($rinsed || $this->isUnderWater($stage)) {
            return Standing::of($this->state->circuit, max(0.0, $this->state->ledger()->contentMl));
        }
        if ($stage->value <= Stage::Mix->value) {
            return $this->drained();
        }

        return $this->isFilling()
            ? $plan->school->picture($this->state) ?? $this->drained()
            : $this->filled($stage);
    }

    /**
     * Air only as much as the sums tell, where the model keeps it; none once it is proven, within what they can tell. More
     * than any fill leaves stands nowhere the model knows: then what is inside is drawn as it would stand.
     */
    private function filled(Stage $stage): Runs
    {
        [$plan, $ledger, $inHand] = [Plan::of($this->state), $this->state->ledger(), $this->state->stepInHand()];
        $air = $ledger->trappedAirMl();
        if ($inHand !== null && $ledger->lines !== [] && ! EnoughToRun::of($this->state->at($inHand, 0))->is) {
            return Standing::of($this->state->circuit, max(0.0, $ledger->contentMl));
        }

        return $air <= ($stage->value >= Stage::Prove->value ? $ledger->trappedAirPlusMinusMl() : 0.0)
            ? $plan->predicted->fullRuns
            : Standing::withAir($this->state->circuit, $plan->fill->runs, $air);
    }

    /** Filled with water for a leak nobody found, after it was closed up. */
    private function isUnderWater(Stage $stage): bool
    {
        $more = $this->state->ledger()->contentMl - $this->state->ledgerBefore(Stage::CloseUp)->contentMl;

        return ($stage === Stage::CloseUp || $stage === Stage::Mix) && $more > self::VESSEL_ML;
    }

    /** Whether coolant is still to go in before the first start. */
    private function isFilling(): bool
    {
        $ahead = fn (Step $step): bool => ! isset($this->state->closed[$step->id])
            && in_array(
                $step->stage,
                [Stage::Fill, Stage::Vacuum],
                true,
            ) && $this->state->kinds->of($step)->does(Does::MovesCoolant);

        return array_filter($this->state->steps, $ahead) !== [];
    }

    /** The full circuit less what each drain let out, as measured so far. */
    private function drained(): Runs
    {
        // What was air at the top before the first drain came out of none of them.
        $above = max(0.0, $this->state->circuit->capacityMl() - $this->state->ledgerBefore(Stage::Drain)->contentMl);
        [$open, $measured] = [[], []];
        foreach ($this->state->stepsThat(Does::Drains) as $step) {
            $ran = $this->state->observed($step->id, DrainRan::class);
            if ($ran === []) {
                continue;
            }
            $open[] = $step->params->text('port');
            // One whose share stands in the figure of another has let out what it could.
            if (! DrainsInTurn::isInAnothers($this->state, $step)) {
                $measured[$step->params->text('port')]
                    = self::READING_SHARE * DrainRan::sumMl($ran) + self::VESSEL_ML + $above;
                $above = 0.0;
            }
        }
        $plan = Plan::of($this->state);

        if ($open === []) {
            return $plan->predicted->fullRuns;
        }
        $gates = $this->state->circuit->usualGates();

        return Drainage::of(
            $this->state->circuit,
            $open,
            $gates,
            $plan->choices->noseLiftMm,
            measured: $measured,
        )->runs;
    }
}
