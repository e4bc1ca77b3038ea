<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Circuit;
use App\Models\Right;
use App\Models\Vehicle;
use App\Shop\Spreadsheet;
use App\Vehicles\VehicleFile;
use App\Vehicles\VehicleImport;
use App\Vehicles\VehicleInput;
use App\Vehicles\VehicleList;
use App\Vehicles\VehiclePage;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** The shop's vehicles: found by typing part of anything, added, changed, and retired when they are gone. */
final class VehicleController extends Controller
{
    private const LONGEST_SEARCH = 60;

    public function index(Request $request): View|RedirectResponse
    {
        $list = new VehicleList(
            mb_substr(trim(self::text($request, 'q')), 0, self::LONGEST_SEARCH),
            $request->boolean('retired'),
        );
        $only = $list->search !== '' && count($list->vehicles) === 1 ? $list->vehicles->first() : null;

        return $only === null ? view('vehicles.index', ['list' => $list]) : redirect("/vehicles/{$only->id}");
    }

    public function show(Request $request, Vehicle $vehicle, StepCatalogue $kinds): View
    {
        return view('vehicles.show', [
            'page' => new VehiclePage($vehicle, self::person($request)->units, $kinds),
            'mayRetire' => self::person($request)->may(Right::RetireVehicles),
        ]);
    }

    public function create(Request $request): View
    {
        return $this->form($request, new Vehicle(['plate' => '', 'name' => '', 'notes' => '']));
    }

    public function store(Request $request): RedirectResponse
    {
        $person = self::person($request);
        $vehicle = OneWriter::run(function () use ($request, $person): Vehicle {
            $attributes = VehicleInput::read($request->all(), $person->units);
            Trail::note($person, Subject::Vehicle, $attributes['plate'], Trail::between([], $attributes));

            return Vehicle::query()->create($attributes);
        });

        return redirect("/vehicles/{$vehicle->id}")->with('notice', "{$vehicle->plate} is here. Plan its first job.");
    }

    public function edit(Request $request, Vehicle $vehicle): View
    {
        return $this->form($request, $vehicle);
    }

    /** A job under way keeps the circuit it was planned on; the next one takes the new one. */
    public function update(Request $request, Vehicle $vehicle): RedirectResponse
    {
        $person = self::person($request);
        OneWriter::run(function () use ($request, $vehicle, $person): void {
            $attributes = VehicleInput::read($request->all(), $person->units, $vehicle->refresh());
            Trail::note(
                $person,
                Subject::Vehicle,
                $vehicle->plate,
                Trail::between($vehicle->getAttributes(), $attributes),
            );
            $vehicle->update($attributes);
        });

        return redirect("/vehicles/{$vehicle->id}")->with('notice', 'Kept.');
    }

    /** All of them as a table for a spreadsheet. */
    public function export(Request $request): Response
    {
        return Spreadsheet::response(VehicleFile::written(self::person($request)->units), 'vehicles.csv');
    }

    /** What a file would change; and, once somebody has seen that, the change. */
    public function import(Request $request): View|RedirectResponse
    {
        $person = self::person($request);
        $text = self::sent($request);
        if (! $request->boolean('keep')) {
            return view('vehicles.import', [
                'import' => VehicleFile::read($text, $person->units, $person->may(Right::RetireVehicles)),
                'text' => $text,
                'units' => $person->units,
            ]);
        }
        $import = OneWriter::run(function () use ($text, $person): VehicleImport {
            $import = VehicleFile::read($text, $person->units, $person->may(Right::RetireVehicles));
            if ($import->canBeKept()) {
                $import->keep($person);
            }

            return $import;
        });

        return $import->refused !== []
            ? view('vehicles.import', ['import' => $import, 'text' => $text, 'units' => $person->units])
            : redirect('/vehicles')->with(
                'notice',
                count($import->new).' vehicles are new, '.count($import->changed).' are changed.',
            );
    }

    /** @throws InvalidField where nothing was sent */
    private static function sent(Request $request): string
    {
        $file = $request->file('file');
        $text = $file !== null && ! is_array($file) && $file->isValid() && $file->getSize() <= VehicleFile::MOST_BYTES
            ? (string) file_get_contents((string) $file->getRealPath())
            : $request->input('text');

        return is_string($text) && $text !== ''
            ? $text
            : throw new InvalidField('file', 'Choose a CSV file of vehicles, at most 1 MB.');
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
            Trail::note(
                self::person($request),
                Subject::Vehicle,
                $vehicle->plate,
                Trail::between(['retired' => ! $retires], ['retired' => $retires]),
            );
        });

        return redirect("/vehicles/{$vehicle->id}");
    }

    private function form(Request $request, Vehicle $vehicle): View
    {
        $units = self::person($request)->units;
        $circuits = Circuit::byName();

        return view('vehicles.form', [
            'vehicle' => $vehicle,
            'circuits' => $circuits,
            'circuit' => $vehicle->exists ? array_search($vehicle->circuit->newestRevision()->id, $circuits, true) : '',
            'fields' => VehicleInput::form()->fields,
            'shown' => VehicleInput::shown($vehicle, $units),
            'units' => $units,
        ]);
    }
}
