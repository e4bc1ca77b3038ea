<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Elevation\Picture;
use App\Library\MakerPage;
use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\Right;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\Maker\Extra;
use Aqbel\Core\Circuit\Maker\Layout;
use Aqbel\Core\Circuit\Maker\Layouts;
use Aqbel\Core\Circuit\Maker\Maker;
use Aqbel\Core\InvalidField;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Illuminate\View\View;

/** A circuit of one's own in five minutes: a layout by its picture, what the manual says, and a tape. */
final class MakerController extends Controller
{
    public function choose(Request $request): View
    {
        self::only($request, Right::ChangeCircuits);

        return view('circuits.layouts', ['layouts' => Layouts::all(), 'for' => self::text($request, 'for')]);
    }

    /** What a layout asks, the drawing beside it. */
    public function ask(Request $request, string $layout): View
    {
        self::only($request, Right::ChangeCircuits);

        return view('circuits.make', [
            'page' => new MakerPage(self::layout($layout), self::person($request)->units),
            'for' => self::text($request, 'for'),
        ]);
    }

    /** A layout's picture: the same as long as the application is. */
    public function outline(Request $request, string $layout): Response
    {
        $dark = self::text($request, 'theme') === 'dark';
        $known = self::layout($layout);
        $svg = Cache::rememberForever(
            'layout.'.config('aqbel.version').".{$known->id}.".($dark ? 'dark' : 'light'),
            fn () => view('circuits.svg', [
                'picture' => new Picture(CircuitReader::read((new Maker($known))->document([]))),
                'dark' => $dark,
            ])->render(),
        );

        return response($svg, 200, ['Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, max-age=86400']);
    }

    public function store(Request $request, string $layout): RedirectResponse
    {
        self::only($request, Right::ChangeCircuits);
        $known = self::layout($layout);
        $ticked = $request->input('has');
        $has = array_filter(
            $known->extras,
            fn (Extra $extra) => is_array($ticked) && in_array($extra->value, $ticked, true),
        );
        $page = new MakerPage($known, self::person($request)->units, array_values($has));
        $raw = $request->input('answers');
        $answers = $page->answers(is_array($raw) ? $raw : []);
        try {
            $document = $page->maker()->document($answers);
        } catch (InvalidField $refused) {
            throw $refused->within('answers');
        }
        $stored = NewRevision::of(null, $document, self::person($request));
        $made = "Made. {$page->unmeasured($answers)}";

        return self::text($request, 'for') === 'vehicle'
            ? redirect(
                '/vehicles/new?circuit='.urlencode((string) array_search($stored->id, Circuit::byName(), true)),
            )->with('notice', $made)
            : redirect("/circuits/{$stored->id}")->with('notice', $made);
    }

    private static function layout(string $id): Layout
    {
        return Layouts::all()[$id] ?? abort(404);
    }
}
