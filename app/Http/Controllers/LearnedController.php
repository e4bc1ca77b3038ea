<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\OneWriter;
use App\Library\LearnedPage;
use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\Right;
use Aqbel\Core\InvalidField;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** What a shop's jobs taught of a circuit; a lead takes a finding over as a revision, or not: nothing changes by itself. */
final class LearnedController extends Controller
{
    public function show(Request $request, Circuit $circuit): View
    {
        $person = self::person($request);

        return view('circuits.learned', ['page' => new LearnedPage($circuit->newestRevision(), $person->units), 'lead' => $person->may(Right::ChangeCircuits)]);
    }

    public function accept(Request $request, Circuit $circuit): RedirectResponse
    {
        self::only($request, Right::ChangeCircuits);
        $person = self::person($request);
        $of = self::text($request, 'of');
        $stored = OneWriter::run(function () use ($circuit, $person, $of): Circuit {
            $newest = $circuit->newestRevision();
            $page = new LearnedPage($newest, $person->units);
            foreach ($page->learned->findings ?? [] as $finding) {
                if ($of === ($finding->node ?? $finding->passage)) {
                    [$list, $fact] = $finding->node !== null ? ['nodes', 'z_mm'] : ['passages', 'volume_ml'];
                    $document = $newest->document;
                    $items = is_array($document[$list] ?? null) ? $document[$list] : [];
                    foreach ($items as $i => $item) {
                        if (is_array($item) && ($item['id'] ?? null) === $of) {
                            $items[$i] = [...$item, $fact => round($finding->is, 1)];
                        }
                    }
                    $document[$list] = $items;

                    return NewRevision::write($newest, $document, $person);
                }
            }
            throw new InvalidField('of', 'The jobs say something else by now. It is shown as it is now.');
        });

        return redirect("/circuits/{$stored->id}/learned")->with('notice', "Taken over, as revision {$stored->revision}: what jobs measured.");
    }
}
