<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Floor\Projection;
use App\Http\Requests\PlanRequest;
use App\Models\Container;
use App\Models\Job;
use App\Models\Shop;
use App\Models\Vehicle;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Comparison;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Stores\Shopping;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\HtmlString;
use Illuminate\View\View;

/** Choices on the left, the sequence and its numbers on the right; every change computes them again. */
final class PlanController
{
    private const KEPT_S = 3600;

    public function create(PlanRequest $request): View|Response
    {
        $vehicles = Vehicle::query()->orderBy('id')->get();
        $vehicle = $vehicles->firstWhere('id', $request->integer('vehicle')) ?? $vehicles->first();
        if ($vehicle === null) {
            return view('plan.empty');
        }
        $circuit = $vehicle->load('circuit')->circuit->read();
        $stores = Container::stores()->suiting($circuit->facts->base, $circuit->facts->inhibitor);
        $input = $request->planInput($circuit, Shop::here(), $stores->offers);
        $before = $vehicle->lastVisit();
        // Kept by everything it depends on: the same choices on the same circuit with the same stores look the same.
        $key = sha1(serialize([$vehicle->circuit_id, $input->toArray(), $stores, $before['watch'] ?? [], $request->user()->units]));
        $outcome = Cache::remember("outcome.{$key}", self::KEPT_S, fn () => $this->outcome($request, $circuit, $input, $stores, $before));

        return $request->boolean('fragment') ? response($outcome) : view('plan.create', ['vehicles' => $vehicles, 'vehicle' => $vehicle, 'circuit' => $circuit, 'input' => $input, 'before' => $before, 'outcome' => new HtmlString($outcome)]);
    }

    /**
     * The sequence and its numbers as the page shows them.
     *
     * @param  ?array{job: Job, watch: list<string>, usage: array<string, float|bool>}  $before
     */
    private function outcome(PlanRequest $request, Circuit $circuit, Choices $input, Inventory $stores, ?array $before): string
    {
        $schools = Planner::schools($circuit, $input);
        $plan = $schools[$input->school] ?? $schools[Choices::GRAVITY];
        $tools = $input->jobKind === Choices::BLEED ? array_values(array_diff($input->tools, ['vacuum_filler'])) : $input->tools;
        $comparison = Cache::remember('compare.'.sha1(serialize([$circuit, $input->drains, $tools, $input->bleeds, $input->elevationM, $input->rules->seaLevelVacuumInHg])), 24 * self::KEPT_S,
            fn () => Comparison::of($circuit, $input->drains, $tools, $input->atmosphere(), seaLevelVacuumInHg: $input->rules->seaLevelVacuumInHg, bleeds: $input->bleedsOf($circuit)));

        return view('plan.outcome', [
            'circuit' => $circuit, 'input' => $input, 'schools' => array_keys($schools), 'comparison' => $comparison, 'plan' => $plan, 'before' => $before,
            'worth' => DrainWorth::belowHeadspace($request->worth($circuit, $input), $plan->predicted['headspace_ml']),
            'ways' => Shopping::ways($plan->mix($circuit), $stores->offers, $stores->shelf),
        ])->render();
    }

    public function store(PlanRequest $request): RedirectResponse
    {
        $vehicle = Vehicle::query()->with('circuit')->findOrFail($request->integer('vehicle'));
        $circuit = $vehicle->circuit->read();
        try {
            $plan = Planner::plan($circuit, $request->planInput($circuit, Shop::here(), Container::stores()->suiting($circuit->facts->base, $circuit->facts->inhibitor)->offers));
        } catch (InvalidField $invalid) {
            return redirect(PlanRequest::backTo($request->except($invalid->field)))->withInput()->withErrors([$invalid->field => $invalid->getMessage()]);
        }
        $job = DB::transaction(function () use ($vehicle, $plan, $request): Job {
            $job = Job::query()->create([
                'vehicle_id' => $vehicle->id, 'circuit_id' => $vehicle->circuit_id, 'planned_by' => $request->user()->id,
                'reason' => $request->reason(), 'plan' => $plan->toArray(),
            ]);
            Projection::refresh($job);

            return $job;
        });

        return redirect("/jobs/{$job->id}");
    }
}
