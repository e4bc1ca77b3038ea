<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Subject;
use App\Audit\Trail;
use App\Http\Requests\VehicleRequest;
use App\Journal\OneWriter;
use App\Models\Circuit;
use App\Models\Right;
use App\Models\Vehicle;
use App\Vehicles\VehicleList;
use App\Vehicles\VehiclePage;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The shop's vehicles: found by typing part of anything, added, changed, and retired when they are gone. */
final class VehicleController extends Controller
{
    private const LONGEST_SEARCH = 60;

    public function index(Request $request): View
    {
        return view('vehicles.index', ['list' => new VehicleList(
            mb_substr(trim(self::text($request, 'q')), 0, self::LONGEST_SEARCH),
            $request->boolean('retired'),
        )]);
    }

    public function show(Request $request, Vehicle $vehicle, StepCatalogue $kinds): View
    {
        return view('vehicles.show', [
            'page' => new VehiclePage($vehicle, self::person($request)->units, $kinds),
            'mayRetire' => self::person($request)->may(Right::RetireVehicles),
        ]);
    }

    public function create(): View
    {
        return $this->form(new Vehicle(['plate' => '', 'name' => '', 'notes' => '']));
    }

    public function store(VehicleRequest $request): RedirectResponse
    {
        $vehicle = OneWriter::run(function () use ($request): Vehicle {
            Trail::note(self::person($request), Subject::Vehicle, $request->vehicle()['plate'], Trail::between([], $request->vehicle()));

            return Vehicle::query()->create($request->vehicle());
        });

        return redirect("/vehicles/{$vehicle->id}")->with('notice', "{$vehicle->plate} is here. Plan its first job.");
    }

    public function edit(Vehicle $vehicle): View
    {
        return $this->form($vehicle);
    }

    /** A job under way keeps the circuit it was planned on; the next one takes the new one. */
    public function update(VehicleRequest $request, Vehicle $vehicle): RedirectResponse
    {
        OneWriter::run(function () use ($request, $vehicle): void {
            Trail::note(self::person($request), Subject::Vehicle, $vehicle->refresh()->plate, Trail::between($vehicle->getAttributes(), $request->vehicle()));
            $vehicle->update($request->vehicle());
        });

        return redirect("/vehicles/{$vehicle->id}")->with('notice', 'Kept.');
    }

    /** Gone, or back again; its records stay. */
    public function retire(Request $request, Vehicle $vehicle): RedirectResponse
    {
        self::only($request, Right::RetireVehicles);
        OneWriter::run(function () use ($request, $vehicle): void {
            $open = $vehicle->openJob();
            if ($open !== null) {
                throw new InvalidField('retire', "{$open->number()} is still open on it. Sign that off first.");
            }
            $retires = $vehicle->refresh()->retired_at === null;
            $vehicle->update(['retired_at' => $retires ? now() : null]);
            Trail::note(self::person($request), Subject::Vehicle, $vehicle->plate, Trail::between(['retired' => ! $retires], ['retired' => $retires]));
        });

        return redirect("/vehicles/{$vehicle->id}");
    }

    private function form(Vehicle $vehicle): View
    {
        return view('vehicles.form', [
            'vehicle' => $vehicle,
            'circuits' => Circuit::query()->newest()->orderBy('name')->get(['id', 'name']),
        ]);
    }
}
