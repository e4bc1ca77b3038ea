<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\AirRanges;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\LikelyRuns;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\PredictedDrain;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;

final class PlanTopic implements Topic
{
    public function name(): string
    {
        return 'plan';
    }

    public function summary(): string
    {
        return 'the whole sequence of a job with its minutes, every school beside it, and what is predicted';
    }

    public function answer(Input $input): array
    {
        $circuit = $input->circuit();
        $planner = new Planner(StepCatalogue::standard(), SchoolCatalogue::standard());
        $choices = $input->choices($circuit);
        $plan = $planner->plan($circuit, $choices);
        $on = $planner->groundwork($circuit, $choices);
        $ranges = new AirRanges($circuit);

        return [
            'sequence' => array_map(fn (Step $step) => self::step($planner, $plan, $step), $plan->steps),
            'schools' => array_map(
                fn (School $school) => self::school($planner, $on, $school, $ranges),
                $planner->schools->for($circuit),
            ),
            'predicted' => self::predicted($plan, $circuit),
        ];
    }

    /** @return array<string, mixed> */
    private static function step(Planner $planner, Plan $plan, Step $step): array
    {
        $minutes = $planner->kinds->labour($step, $plan->choices);

        return [
            'step' => $step->id,
            'kind' => $step->kind,
            'stage' => $step->stage->value,
            'hands_min' => $minutes->hands,
            'wait_min' => $minutes->wait,
        ];
    }

    /** @return array<string, mixed> */
    private static function school(Planner $planner, Groundwork $on, School $school, AirRanges $ranges): array
    {
        $misfit = $planner->misfit($school, $on);
        if ($misfit !== null) {
            return ['school' => $school->id(), 'fits' => false, 'why_not' => $misfit->remedy];
        }
        $plan = $planner->by($school, $on);
        $air = $ranges->of($plan);
        $minutes = $plan->minutes($planner->kinds)->plus($school->besides($plan->choices));
        $runs = LikelyRuns::of($plan, $on->circuit, $planner->kinds);

        return [
            'school' => $school->id(),
            'fits' => true,
            'why_not' => null,
            'runs' => $school->runs(),
            'air_ml' => $plan->fill->airMl,
            'air_low_ml' => min($air->low, $plan->fill->airLowMl()),
            'air_high_ml' => max($air->high, $plan->fill->airHighMl()),
            'coolant_ml' => $plan->fill->coolantMl,
            'hands_min' => $minutes->hands,
            'total_min' => $minutes->total(),
            'heat_cycles' => $runs->planned,
            'likely_heat_cycles' => $runs->likely,
            'one_is_enough' => $runs->enough,
            'each_further_min' => $runs->each->total(),
        ];
    }

    /** @return array<string, mixed> */
    private static function predicted(Plan $plan, Circuit $circuit): array
    {
        return [
            'capacity_ml' => $circuit->capacityMl(),
            'drains' => array_map(
                fn (PredictedDrain $drain) => ['port' => $drain->port, 'volume_ml' => $drain->volumeMl],
                $plan->predicted->drains,
            ),
            'retained_ml' => $plan->predicted->retainedMl,
            'headspace_ml' => $plan->predicted->headspaceMl,
            'air_ml' => $plan->fill->airMl,
            'coolant_ml' => $plan->fill->coolantMl,
            'ties' => array_map(FillTopic::tie(...), $plan->fill->ties),
        ];
    }
}
