<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Library\Measured;
use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\Right;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** One height or volume of a circuit, measured after all: the next revision of it. */
final class MeasuredController extends Controller
{
    public function store(Request $request, Circuit $circuit): RedirectResponse
    {
        self::only($request, Right::ChangeCircuits);
        $newest = $circuit->newestRevision();
        $measured = new Measured($newest->document, self::person($request)->units);
        $node = self::text($request, 'node');
        $document = $node !== ''
            ? $measured->height($node, self::text($request, 'measured'))
            : $measured->volume(self::text($request, 'passage'), self::text($request, 'measured'));
        $stored = NewRevision::of($newest, $document, self::person($request));
        [$job, $vehicle] = [self::text($request, 'job'), self::text($request, 'vehicle')];

        return redirect(match (true) {
            ctype_digit($job) => "/jobs/{$job}",
            ctype_digit($vehicle) => "/jobs/new?vehicle={$vehicle}",
            default => "/circuits/{$stored->id}",
        })->with('notice', "Put into the circuit, as revision {$stored->revision}.");
    }
}
