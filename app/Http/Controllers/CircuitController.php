<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Circuit;
use Aqbel\Core\Circuit\Advice;
use Aqbel\Core\Circuit\Circuit as CoreCircuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\InvalidField;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\View\View;

/** The library of circuits: looked at by everybody, changed by leads; every change is a new revision. */
final class CircuitController
{
    private const MOST_BYTES = 1_000_000;

    public function index(): View
    {
        return view('circuits.index', ['circuits' => Circuit::query()->newest()->orderBy('name')->get()]);
    }

    public function show(Request $request, Circuit $circuit): View
    {
        return view('circuits.show', ['model' => $circuit, 'circuit' => $circuit->read(), 'units' => $request->user()->units]);
    }

    /** A new circuit, from the layout of one in the library. */
    public function create(Request $request): View
    {
        $this->leadOnly($request);
        $template = Circuit::query()->findOrFail($request->integer('from'));

        return $this->editor([...$template->document, 'name' => mb_substr("{$template->name}, copy", 0, 120)], null);
    }

    public function edit(Request $request, Circuit $circuit): View
    {
        $this->leadOnly($request);

        return $this->editor($circuit->document, $circuit);
    }

    /** The drawing and the predictions for a document that is being edited, or, as JSON, what is wrong with it so far. */
    public function preview(Request $request): View|JsonResponse
    {
        $this->leadOnly($request);
        try {
            $circuit = CircuitReader::read(self::decode((string) $request->getContent()));
        } catch (InvalidField $invalid) {
            return response()->json(['field' => $invalid->field, 'message' => $invalid->getMessage()]);
        }

        return view('circuits.preview', self::predictions($circuit));
    }

    /** Stores a document as a new circuit, or as the next revision of one. */
    public function store(Request $request, ?Circuit $circuit = null): RedirectResponse
    {
        $this->leadOnly($request);
        $file = $request->file('file');
        $json = $file !== null && ! is_array($file) && $file->isValid() ? (string) file_get_contents($file->getRealPath()) : $request->input('document');
        if (! is_string($json) || $json === '') {
            throw new InvalidField('file', 'Choose an aqbel-circuit/1 file, at most 1 MB.');
        }
        $document = self::decode($json);
        $read = CircuitReader::read($document);
        $key = $circuit->key ?? (Str::slug($read->name) ?: 'circuit').'-'.Str::lower(Str::random(4));
        $stored = Circuit::query()->create([
            'key' => $key, 'revision' => 1 + (int) Circuit::query()->where('key', $key)->max('revision'), 'name' => $read->name, 'document' => $document,
        ]);
        if ($circuit !== null) {
            $circuit->vehiclesOfAllRevisions()->update(['circuit_id' => $stored->id]);
        }

        return redirect("/circuits/{$stored->id}")->with('notice', "Stored as revision {$stored->revision}.");
    }

    public function export(Circuit $circuit): Response
    {
        return response(json_encode($circuit->document, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR)."\n", 200, [
            'Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"{$circuit->key}-{$circuit->revision}.json\"",
        ]);
    }

    /** The elevation view on its own, with the styles it needs inside. */
    public function svg(Circuit $circuit): Response
    {
        preg_match('#<svg.*</svg>#s', $circuit->drawing()->toHtml(), $svg);
        $styled = preg_replace('/<svg /', '<svg xmlns="http://www.w3.org/2000/svg" width="1040" ', $svg[0], 1);
        $styled = preg_replace('/<defs>/', '<style>'.view('circuits.svg-style')->render().'</style><defs>', (string) $styled, 1);

        return response("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n{$styled}\n", 200, ['Content-Type' => 'image/svg+xml', 'Content-Disposition' => "attachment; filename=\"{$circuit->key}.svg\""]);
    }

    /** @param  array<string, mixed>  $document */
    private function editor(array $document, ?Circuit $model): View
    {
        return view('circuits.edit', ['document' => $document, 'model' => $model, ...self::predictions(CircuitReader::read($document))]);
    }

    /** @return array<string, mixed> */
    private static function predictions(CoreCircuit $circuit): array
    {
        $gates = Filling::usualGates($circuit);
        $bleeds = array_map(fn ($port) => $port->id, $circuit->portsOf('bleed'));

        return [
            'circuit' => $circuit, 'advice' => Advice::on($circuit),
            'drainage' => Drainage::of($circuit, array_map(fn ($port) => $port->id, $circuit->portsOf('drain')), $gates, airOpen: $bleeds),
            'filling' => Filling::of($circuit, $circuit->fillPort()->id, $bleeds, $gates),
        ];
    }

    /**
     * @return array<mixed>
     *
     * @throws InvalidField
     */
    private static function decode(string $json): array
    {
        if (strlen($json) > self::MOST_BYTES) {
            throw new InvalidField('file', 'The file is larger than 1 MB. A circuit is a few kilobytes; choose another file.');
        }
        try {
            $data = json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        } catch (\JsonException $problem) {
            throw new InvalidField('file', "This is not JSON ({$problem->getMessage()}). Export the circuit again and import that file.");
        }

        return is_array($data) ? $data : throw new InvalidField('file', 'A circuit file holds one JSON object.');
    }

    private function leadOnly(Request $request): void
    {
        abort_unless($request->user()->role === 'lead', 403, 'Circuits are changed by a lead. Ask one to sign in.');
    }
}
