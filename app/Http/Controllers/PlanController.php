<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Floor\Projection;
use App\Http\Requests\PlanRequest;
use App\Journal\OneWriter;
use App\Models\Container;
use App\Models\Job;
use App\Models\JobTemplate;
use App\Models\Right;
use App\Models\Shop;
use App\Models\Vehicle;
use App\Plan\PlanPage;
use App\Plan\Worked;
use App\Record\Facts;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** Choices on the left, the sequence and its numbers on the right; every change computes them again. */
final class PlanController extends Controller
{
    public function __construct(private readonly Planner $planner, private readonly StepCatalogue $kinds)
    {
    }

    public function create(PlanRequest $request): View|Response|RedirectResponse
    {
        $fragment = self::text($request, 'fragment');
        $inUse = Vehicle::query()->whereNull('retired_at')->orderBy('id');
        // More than are listed are searched for, so one more than that tells enough.
        $vehicles = $fragment === '' ? (clone $inUse)->limit(PlanPage::MOST_LISTED + 1)->get() : new Collection;
        $vehicle = $request->filled('vehicle') ? $inUse->find($request->integer('vehicle')) : $vehicles->first();
        if ($vehicle === null) {
            return $vehicles->isEmpty() ? view('plan.empty')
                : redirect('/vehicles')->with(
                    'notice',
                    'That vehicle is not here, or retired. Choose the one to plan for.',
                );
        }
        $circuit = $vehicle->load('circuit')->circuit->read();
        $stores = self::stores($circuit);
        $before = $vehicle->lastJob();
        $units = self::person($request)->units;
        $choices = $request->choices($vehicle, $circuit, Shop::here(), $stores->offers);
        $worked = new Worked($vehicle, $circuit, $choices, $stores, $before, $units, $this->planner, $this->kinds);
        // Where nobody asked for a way, the one that is planned is the one that stands chosen.
        $worked = $request->asksForAWay() ? $worked : $worked->by($worked->way());
        if ($fragment !== '') {
            return response(
                match ($fragment) {
                    'ranges' => view('plan.afterwards', [
                        'freeing' => $worked->freeing(),
                        'level' => $worked->level(),
                        'sure' => $worked->ranges(),
                        'vehicle' => $vehicle,
                        'mayMeasure' => self::person($request)->may(Right::ChangeCircuits),
                    ]),
                    default => view('plan.choice', ['worked' => $worked]),
                },
            );
        }

        return view('plan.create', [
            'page' => new PlanPage(
                $vehicles,
                $vehicle,
                $circuit,
                $worked->choices,
                $before,
                $units,
                $this->planner->schools,
                $worked,
                $vehicle->openJob(),
                JobTemplate::query()->orderBy('name')->get(),
                self::person($request)->may(Right::ChangeShop),
                $request->asksForAWay(),
            ),
        ]);
    }

    public function store(PlanRequest $request, PlanCodec $codec, Projection $projection): RedirectResponse
    {
        $vehicle = Vehicle::query()->with('circuit')->findOrFail($request->integer('vehicle'));
        $circuit = $vehicle->circuit->read();
        try {
            $plan = $this->planner->shown(
                $circuit,
                $request->choices($vehicle, $circuit, Shop::here(), self::stores($circuit)->offers),
                $request->asksForAWay(),
            );
        } catch (InvalidField $invalid) {
            return redirect(PlanRequest::backTo($request->except($invalid->field)))
                ->withInput()
                ->withErrors([$invalid->field => $invalid->getMessage()]);
        }
        $job = OneWriter::run(function () use ($vehicle, $plan, $request, $codec, $projection): Job {
            $open = PlanRequest::alreadyOpen($vehicle->id);
            if ($open !== null) {
                throw new InvalidField('vehicle', $open);
            }
            $job = Job::query()->create([
                'vehicle_id' => $vehicle->id, 'circuit_id' => $vehicle->circuit_id,
                'planned_by' => self::person($request)->id,
                'kind' => $plan->choices->jobKind, 'plan' => $codec->write($plan),
            ]);
            $vehicle->haveRun($plan->choices->usage);
            $projection->refresh($job, $job->state());
            Facts::forgetBefore($job);

            return $job;
        });

        return redirect("/jobs/{$job->id}");
    }

    /** What of the shop's stores may go into this circuit. */
    private static function stores(Circuit $circuit): Inventory
    {
        return Container::stores()->suiting($circuit->facts->base, $circuit->facts->inhibitor);
    }
}
