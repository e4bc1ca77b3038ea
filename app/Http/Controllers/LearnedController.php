<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Journal\OneWriter;
use App\Library\LearnedPage;
use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\Right;
use Aqbel\Core\Circuit\KnownBy;
use Aqbel\Core\InvalidField;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * What a shop's jobs taught of a circuit; a lead takes a finding
 * over as a revision, or not: nothing changes by itself.
 */
final class LearnedController extends Controller
{
    /** Seconds until somebody who waits for it looks again. */
    private const LOOKED_AGAIN_S = '2';

    /** A volume is known to no less than this share, whatever jobs leave open. */
    private const LEAST_KNOWN = 0.5;

    public function show(Request $request, Circuit $circuit): Response
    {
        $person = self::person($request);

        $page = new LearnedPage($circuit->newestRevision(), $person->units);
        $response = response()->view('circuits.learned', [
            'page' => $page,
            'lead' => $person->may(Right::ChangeCircuits),
        ]);

        return $page->isWorking() ? $response->header('Refresh', self::LOOKED_AGAIN_S) : $response;
    }

    /** Whoever works on such a vehicle next is asked to measure it. */
    public function ask(Request $request, Circuit $circuit): RedirectResponse
    {
        self::only($request, Right::ChangeCircuits);
        $of = self::text($request, 'of');
        $newest = $circuit->newestRevision();
        $core = $newest->read();
        if ($of !== '' && ! isset($core->nodes[$of]) && ! isset($core->passages[$of])) {
            throw new InvalidField('of', 'There is no such part in this circuit any more.');
        }
        OneWriter::run(fn () => $newest->update(['asks_for' => $of === '' ? null : $of]));

        return redirect("/circuits/{$newest->id}/learned")->with(
            'notice',
            $of === '' ? 'No longer asked for.' : 'Asked for, at the next plan and run on this circuit.',
        );
    }

    public function accept(Request $request, Circuit $circuit): RedirectResponse
    {
        self::only($request, Right::ChangeCircuits);
        $person = self::person($request);
        $of = self::text($request, 'of');
        $stored = OneWriter::run(function () use ($circuit, $person, $of): Circuit {
            $newest = $circuit->newestRevision();
            $page = new LearnedPage($newest, $person->units, atOnce: true);
            foreach ($page->learned->findings ?? [] as $finding) {
                if ($of === ($finding->node ?? $finding->passage)) {
                    $half = ($finding->high - $finding->low) / 2.0;
                    [$list, $facts] = $finding->node !== null
                            ? ['nodes', ['z_mm' => round($finding->is, 1), 'plus_minus_mm' => round($half, 1)]]
                            : [
                                'passages',
                                [
                                    'volume_ml' => round($finding->is, 1),
                                    'plus_minus' => round(min(self::LEAST_KNOWN, $half / $finding->is), 3),
                                ],
                            ];
                    $document = $newest->document;
                    $items = is_array($document[$list] ?? null) ? $document[$list] : [];
                    foreach ($items as $i => $item) {
                        if (is_array($item) && ($item['id'] ?? null) === $of) {
                            $items[$i] = [...$item, ...$facts, 'known_by' => KnownBy::Jobs->value];
                        }
                    }
                    $document[$list] = $items;

                    return NewRevision::write(
                        $newest,
                        $document,
                        $person,
                        new Change('learned', '', $page->taught->whence()),
                    );
                }
            }
            throw new InvalidField('of', 'The jobs say something else by now. It is shown as it is now.');
        });

        return redirect("/circuits/{$stored->id}/learned")->with(
            'notice',
            "Taken over, as revision {$stored->revision}: what jobs measured.",
        );
    }
}
