<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\OneWriter;
use App\Library\Measured;
use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\Right;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** One height or volume of a circuit measured after all, or a gate looked at: the next revision of it. */
final class MeasuredController extends Controller
{
    public function store(Request $request, Circuit $circuit): RedirectResponse
    {
        self::only($request, Right::ChangeCircuits);
        [$node, $typed, $units] = [
            self::text($request, 'node'),
            self::text($request, 'measured'),
            self::person($request)->units,
        ];
        // Onto whatever is the newest when it is written: what somebody else has measured meanwhile stays.
        $stored = OneWriter::run(function () use ($request, $circuit, $node, $typed, $units): Circuit {
            $newest = $circuit->newestRevision();
            $measured = new Measured($newest->document, $units);
            [$gate, $passage] = [self::text($request, 'gate'), self::text($request, 'passage')];
            $document = match (true) {
                $node !== '' => $measured->height($node, $typed),
                $gate !== '' => $measured->weeps($gate, self::text($request, 'weeps')),
                default => $measured->volume($passage, $typed),
            };

            // The same once more, pressed twice or sent again, is no revision.
            return $document == $newest->document
                ? $newest
                : NewRevision::write($newest, $document, self::person($request));
        });
        [$job, $vehicle] = [self::text($request, 'job'), self::text($request, 'vehicle')];

        return redirect(match (true) {
            ctype_digit($job) => "/jobs/{$job}",
            ctype_digit($vehicle) => "/jobs/new?vehicle={$vehicle}",
            default => "/circuits/{$stored->id}",
        })->with('notice', "Put into the circuit, as revision {$stored->revision}.");
    }
}
