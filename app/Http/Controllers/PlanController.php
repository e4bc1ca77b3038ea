<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PlanRequest;
use App\Journal\Summary;
use App\Models\Job;
use App\Models\Shop;
use App\Models\Vehicle;
use Aqbel\Core\Comparison\Comparison;
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
        $input = $request->planInput($circuit, Shop::here());
        $key = sha1($vehicle->circuit_id.json_encode($input->toArray()));
        $schools = Cache::remember("plan.{$key}", 3600, fn () => Planner::schools($circuit, $input));
        $comparison = Cache::remember('compare.'.sha1($vehicle->circuit_id.json_encode([$input->drains, $input->tools, $input->bleeds, $input->elevationM, $input->rules->seaLevelVacuumInHg])), 86400,
            fn () => Comparison::of($circuit, $input->drains, $input->tools, $input->atmosphere(), seaLevelVacuumInHg: $input->rules->seaLevelVacuumInHg, bleeds: $input->bleedsOf($circuit)));

        return view($request->boolean('fragment') ? 'plan.outcome' : 'plan.create', [
            'vehicles' => $vehicles, 'vehicle' => $vehicle, 'circuit' => $circuit, 'input' => $input, 'schools' => $schools, 'comparison' => $comparison, 'plan' => $schools[$input->school] ?? $schools[PlanInput::GRAVITY],
        ]);
    }

    public function store(PlanRequest $request): RedirectResponse
    {
        $vehicle = Vehicle::query()->with('circuit')->findOrFail($request->integer('vehicle'));
        $circuit = $vehicle->circuit->read();
        $plan = Planner::plan($circuit, $request->planInput($circuit, Shop::here()));
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
