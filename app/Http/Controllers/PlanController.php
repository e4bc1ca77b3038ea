<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Floor\Projection;
use App\Http\Requests\PlanRequest;
use App\Journal\OneWriter;
use App\Models\Container;
use App\Models\Job;
use App\Models\JobTemplate;
use App\Models\LastVisit;
use App\Models\Right;
use App\Models\Shop;
use App\Models\Vehicle;
use App\Plan\KeptFills;
use App\Plan\Outcome;
use App\Plan\PlanPage;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Comparison;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Plan\Format\ChoicesCodec;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\Simulations;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Stores\Shopping;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Illuminate\View\View;

/** Choices on the left, the sequence and its numbers on the right; every change computes them again. */
final class PlanController extends Controller
{
    private const KEPT_S = 3600;

    public function __construct(private readonly Planner $planner, private readonly StepCatalogue $kinds)
    {
    }

    public function create(PlanRequest $request): View|Response|RedirectResponse
    {
        $inUse = Vehicle::query()->whereNull('retired_at')->orderBy('id');
        // More than are listed are searched for, so one more than that tells enough.
        $vehicles = (clone $inUse)->limit(PlanPage::MOST_LISTED + 1)->get();
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
        $choices = $request->choices($vehicle, $circuit, Shop::here(), $stores->offers);
        $before = $vehicle->lastVisit();
        $units = self::person($request)->units;
        // Kept by everything it depends on: the same choices on the same circuit with the same stores look the same.
        $key = sha1(
            serialize([$vehicle->circuit_id, ChoicesCodec::write($choices), $stores, $before->watch ?? [], $units]),
        );
        $outcome = Cache::remember(
            "outcome.{$key}",
            self::KEPT_S,
            fn () => $this->outcome($request, $vehicle, $circuit, $choices, $stores, $before),
        );

        return $request->boolean('fragment') ? response($outcome)
            : view(
                'plan.create',
                [
                    'page' => new PlanPage(
                        $vehicles,
                        $vehicle,
                        $circuit,
                        $choices,
                        $before,
                        $units,
                        $this->planner->schools,
                        $outcome,
                        $vehicle->openJob(),
                        JobTemplate::query()->orderBy('name')->get(),
                        self::person($request)->may(Right::ChangeShop),
                    ),
                ],
            );
    }

    public function store(PlanRequest $request, PlanCodec $codec, Projection $projection): RedirectResponse
    {
        $vehicle = Vehicle::query()->with('circuit')->findOrFail($request->integer('vehicle'));
        $circuit = $vehicle->circuit->read();
        try {
            $plan = $this->planner->plan(
                $circuit,
                $request->choices($vehicle, $circuit, Shop::here(), self::stores($circuit)->offers),
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

            return $job;
        });

        return redirect("/jobs/{$job->id}");
    }

    /** The sequence and its numbers as the page shows them. */
    private function outcome(
        PlanRequest $request,
        Vehicle $vehicle,
        Circuit $circuit,
        Choices $choices,
        Inventory $stores,
        ?LastVisit $before,
    ): string {
        [$plan, $comparison] = KeptFills::during($vehicle->circuit, $circuit, $choices, function (Simulations $fills) use ($circuit, $choices): array {
            $on = $this->planner->groundwork($circuit, $choices, $fills);

            return [$this->planner->nearest($on), Comparison::of($this->planner, $on)];
        });
        $worth = DrainWorth::belowHeadspace($request->worth($vehicle, $circuit, $choices), $plan->headspaceMl());
        $ways = Shopping::ways($plan->mix($circuit), $stores->offers, $stores->shelf);

        return view('plan.outcome', [
            'outcome' => new Outcome(
                $circuit,
                $plan,
                $comparison,
                $worth,
                $ways,
                $before,
                self::person($request)->units,
                $this->planner,
                $this->kinds,
            ),
        ])->render();
    }

    /** What of the shop's stores may go into this circuit. */
    private static function stores(Circuit $circuit): Inventory
    {
        return Container::stores()->suiting($circuit->facts->base, $circuit->facts->inhibitor);
    }
}
