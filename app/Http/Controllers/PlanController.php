<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PlanRequest;
use App\Journal\Summary;
use App\Models\Container;
use App\Models\Job;
use App\Models\Shop;
use App\Models\Vehicle;
use Aqbel\Core\Comparison\Comparison;
use Aqbel\Core\Coolant\Shopping;
use Aqbel\Core\Hydrostatics\DrainWorth;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Sequence\PlanInput;
use Aqbel\Core\Sequence\Planner;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;

/** Choices on the left, the sequence and its numbers on the right; every change computes them again. */
final class PlanController
{
    public function create(PlanRequest $request): View
    {
        $vehicles = Vehicle::query()->with('circuit')->orderBy('id')->get();
        $vehicle = $vehicles->firstWhere('id', $request->integer('vehicle')) ?? $vehicles->first();
        if ($vehicle === null) {
            return view('plan.empty');
        }
        $circuit = $vehicle->circuit->read();
        $stores = Container::stores()->suiting($circuit->facts->base, $circuit->facts->inhibitor);
        $input = $request->planInput($circuit, Shop::here(), $stores->offers);
        $key = sha1($vehicle->circuit_id.json_encode($input->toArray()));
        $schools = Cache::remember("plan.{$key}", 3600, fn () => Planner::schools($circuit, $input));
        $comparison = Cache::remember('compare.'.sha1($vehicle->circuit_id.json_encode([$input->drains, $input->tools, $input->bleeds, $input->elevationM, $input->rules->seaLevelVacuumInHg])), 86400,
            fn () => Comparison::of($circuit, $input->drains, $input->tools, $input->atmosphere(), seaLevelVacuumInHg: $input->rules->seaLevelVacuumInHg, bleeds: $input->bleedsOf($circuit)));

        $plan = $schools[$input->school] ?? $schools[PlanInput::GRAVITY];

        return view($request->boolean('fragment') ? 'plan.outcome' : 'plan.create', [
            'worth' => Cache::remember('worth.'.sha1($vehicle->circuit_id.json_encode([$input->opened, $input->wantsAllOut(), $input->noseLiftMm])), 86400, fn () => DrainWorth::of($circuit, $input->opened, $input->wantsAllOut(), $input->noseLiftMm, $plan->predicted['headspace_ml'])),
            'ways' => Shopping::ways($plan->mix($circuit), $stores->offers, $stores->shelf), 'before' => $vehicle->lastSigned(),
            'vehicles' => $vehicles, 'vehicle' => $vehicle, 'circuit' => $circuit, 'input' => $input, 'schools' => $schools, 'comparison' => $comparison, 'plan' => $plan,
        ]);
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
            Summary::refresh($job);

            return $job;
        });

        return redirect("/jobs/{$job->id}");
    }
}
