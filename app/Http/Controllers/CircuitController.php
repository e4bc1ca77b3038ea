<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Elevation\Picture;
use App\Journal\OneWriter;
use App\Library\Changes;
use App\Library\CircuitCard;
use App\Library\CircuitFile;
use App\Library\CircuitSheet;
use App\Library\Layouts;
use App\Library\NewRevision;
use App\Library\Parts;
use App\Library\Preview;
use App\Models\Circuit;
use App\Models\CircuitPhoto;
use App\Models\Right;
use App\Shop\Search;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\Format\Fact;
use Aqbel\Core\Circuit\Format\Inherited;
use Aqbel\Core\Circuit\Format\Vocabulary;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Learned\MeasuredJobs;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Illuminate\View\View;

/** The library of circuits: looked at by everybody, changed by leads; every change is a new revision. */
final class CircuitController extends Controller
{
    private const A_PAGE = 24;

    private const LONGEST_SEARCH = 60;

    private const MOST_BYTES = 8_000_000;

    private const AS_FILE
        = JSON_PRETTY_PRINT
        | JSON_UNESCAPED_UNICODE
        | JSON_UNESCAPED_SLASHES
        | JSON_PRESERVE_ZERO_FRACTION
        | JSON_THROW_ON_ERROR;

    public function index(Request $request): View|RedirectResponse
    {
        $person = self::person($request);
        $search = mb_substr(trim(self::text($request, 'q')), 0, self::LONGEST_SEARCH);
        $circuits = Circuit::query()
            ->newest()
            ->orderBy('name')
            ->select(['id', 'key', 'revision', 'name', 'added_by', 'looked_at']);
        foreach (Search::words($search) as $word) {
            Search::word($circuits, ['name'], $word);
        }

        $only = $search === '' ? [] : (clone $circuits)->limit(2)->get()->all();
        if (count($only) === 1) {
            return redirect("/circuits/{$only[0]->id}");
        }

        return view('circuits.index', [
            'cards' => $circuits
                ->simplePaginate(self::A_PAGE)
                ->withQueryString()
                ->through(fn (Circuit $model) => CircuitCard::of($model, $person->units)),
            'search' => $search,
            'lead' => $person->may(Right::ChangeCircuits),
        ]);
    }

    /** A small picture for lists: of a revision, so it is the same for good. */
    public function outline(Request $request, Circuit $circuit): Response
    {
        $dark = self::text($request, 'theme') === 'dark';
        $svg = Cache::rememberForever(
            'outline.'.config('aqbel.version').".{$circuit->id}.".($dark ? 'dark' : 'light'),
            fn () => view('circuits.svg', ['picture' => new Picture($circuit->read()), 'dark' => $dark])->render(),
        );

        return response($svg, 200, [
            'Content-Type' => 'image/svg+xml',
            'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }

    public function show(Request $request, Circuit $circuit): View
    {
        return view(
            'circuits.show',
            [
                'sheet' => new CircuitSheet($circuit, self::person($request)->units),
                'parts' => (new Parts($circuit, self::person($request)->units))->rows(),
                'lead' => self::person($request)->may(Right::ChangeCircuits),
            ],
        );
    }

    /** The layouts that ship with the application. */
    public function layouts(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangeCircuits);
        $stored = OneWriter::run(fn (): int => count(Layouts::bringIn()));

        return redirect('/circuits')->with(
            'notice',
            $stored === 0 ? 'All of them are here already.' : "{$stored} layouts are here. Open one to copy it.",
        );
    }

    /** A new circuit, from the layout of one in the library. */
    public function create(Request $request): View
    {
        self::only($request, Right::ChangeCircuits);
        $template = Circuit::query()->findOrFail($request->integer('from'));

        return $this->editor(
            $request,
            Inherited::by(
                array_diff_key($template->document, [MeasuredJobs::PART => []]),
                mb_substr("{$template->name}, copy", 0, 120),
            ),
            null,
        );
    }

    public function edit(Request $request, Circuit $circuit): View
    {
        self::only($request, Right::ChangeCircuits);

        return $this->editor($request, $circuit->document, $circuit);
    }

    /**
     * The drawing and the predictions for a document that is being edited, or, as JSON, what is wrong with it so far.
     */
    public function preview(Request $request): View|JsonResponse
    {
        self::only($request, Right::ChangeCircuits);
        try {
            $circuit = CircuitReader::read(self::decode((string) $request->getContent()));
        } catch (InvalidField $invalid) {
            return response()->json(['field' => $invalid->field, 'message' => $invalid->getMessage()]);
        }

        return view('circuits.preview', ['preview' => new Preview($circuit, self::person($request)->units)]);
    }

    /** Stores a document as a new circuit, or as the next revision of one. */
    public function store(
        Request $request,
        CircuitImportController $import,
        ?Circuit $circuit = null,
    ): RedirectResponse|Response {
        self::only($request, Right::ChangeCircuits);
        $sent = self::decode(self::sent($request));
        if ($circuit === null && $request->file('file') !== null) {
            return $import->bringIn(self::person($request), CircuitFile::read($sent));
        }
        CircuitReader::read($sent);
        $document = $circuit === null ? CircuitFile::read($sent)[0] : $sent;
        $over = $request->integer('over');
        $stored = OneWriter::run(function () use ($request, $circuit, $document, $over): ?Circuit {
            $newest = $circuit?->newestRevision();
            if ($circuit !== null && $newest !== null && $newest->id !== $circuit->id && $over !== $newest->id) {
                return null;
            }

            return NewRevision::write($newest, $document, self::person($request));
        });
        if ($stored === null) {
            return $circuit === null ? abort(409) : $this->stale($circuit, $circuit->newestRevision(), $document);
        }

        return redirect("/circuits/{$stored->id}")->with('notice', "Stored as revision {$stored->revision}.");
    }

    public function photo(CircuitPhoto $photo): Response
    {
        return response(base64_decode($photo->jpeg), 200, [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => 'private, max-age=31536000, immutable',
            'Content-Disposition' => 'inline; filename="photo.jpg"',
        ]);
    }

    public function export(Circuit $circuit): Response
    {
        return self::file(CircuitFile::of($circuit), "{$circuit->key}-{$circuit->revision}.json");
    }

    /** All circuits of the shop, to be brought in elsewhere. */
    public function package(): Response
    {
        return self::file(CircuitFile::package(), 'circuits-'.now()->format('Y-m-d').'.json');
    }

    /** @param  array<mixed>  $data */
    private static function file(array $data, string $name): Response
    {
        return response(json_encode($data, self::AS_FILE)."\n", 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }

    /** The elevation view on its own, with the styles it needs inside. */
    public function svg(Request $request, Circuit $circuit): Response
    {
        $picture = (new CircuitSheet($circuit, self::person($request)->units))->picture();

        return response(view('circuits.svg', ['picture' => $picture])->render(), 200, [
            'Content-Type' => 'image/svg+xml',
            'Content-Disposition' => "attachment; filename=\"{$circuit->key}.svg\"",
        ]);
    }

    /**
     * Somebody saved this circuit while it was being edited here: nothing is stored, both changes are shown.
     *
     * @param  array<mixed>  $document
     */
    private function stale(Circuit $edited, Circuit $newest, array $document): Response
    {
        return response()->view('circuits.stale', [
            'edited' => $edited,
            'newest' => $newest,
            'document' => json_encode($document, JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
            'theirs' => Changes::between($edited->document, $newest->document),
            'mine' => Changes::between($edited->document, $document),
        ], 409);
    }

    /** @param  array<mixed>  $document */
    private function editor(Request $request, array $document, ?Circuit $model): View
    {
        return view('circuits.edit', [
            'document' => $this->typed($request) ?? $document, 'model' => $model, 'vocabulary' => self::vocabulary(),
            'preview' => new Preview(CircuitReader::stored($document), self::person($request)->units),
        ]);
    }

    /** @return ?array<mixed> what was sent last and refused */
    private function typed(Request $request): ?array
    {
        $old = $request->old('document');
        $typed = is_string($old) ? json_decode($old, true) : null;

        return is_array($typed) ? $typed : null;
    }

    /** @throws InvalidField where nothing was sent */
    private static function sent(Request $request): string
    {
        $file = $request->file('file');
        $json = $file !== null && ! is_array($file) && $file->isValid()
            ? (string) file_get_contents((string) $file->getRealPath())
            : $request->input('document');

        return is_string($json) && $json !== ''
            ? $json
            : throw new InvalidField('file', 'Choose a file of a circuit, or of several, at most 8 MB.');
    }

    /**
     * @return array<mixed>
     *
     * @throws InvalidField
     */
    private static function decode(string $json): array
    {
        if (strlen($json) > self::MOST_BYTES) {
            throw new InvalidField(
                'file',
                'The file is larger than 8 MB. A circuit is a few kilobytes, a package of all a megabyte; '
                    .'choose another file.',
            );
        }
        try {
            $data = json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        } catch (\JsonException $problem) {
            throw new InvalidField(
                'file',
                "This is not JSON ({$problem->getMessage()}). Export the circuit again and import that file.",
            );
        }

        return is_array($data) ? $data : throw new InvalidField('file', 'A circuit file holds one JSON object.');
    }

    /** @return array<string, list<array<string, mixed>>> every fact the format knows, by the list it stands in */
    private static function vocabulary(): array
    {
        $told = fn (Fact $fact): array => [
            'name' => $fact->name,
            'kind' => $fact->kind->value,
            'title' => $fact->title(),
            'choices' => $fact->choices,
            'of' => $fact->of,
        ];

        return array_map(fn (array $facts): array => array_values(array_map($told, $facts)), Vocabulary::all());
    }
}
