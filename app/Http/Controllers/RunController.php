<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\FormOf;
use App\Journal\Recorder;
use App\Models\Container;
use App\Models\Job;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The run: one step in hand, what may be entered, what it means. */
final class RunController extends JournalController
{
    public function show(Request $request, Job $job): View|RedirectResponse
    {
        if ($job->signed_at !== null) {
            return redirect("/jobs/{$job->id}/record");
        }
        $job->loadMissing(['vehicle', 'circuit']);
        $state = $job->state();
        $inHand = $state->stepInHand();
        $asked = $request->query('step');
        $step = is_string($asked) && isset($state->steps[$asked]) ? $state->steps[$asked] : $inHand;
        $now = now()->getTimestamp();

        return view('run.show', [
            'job' => $job, 'state' => $state, 'step' => $step, 'kind' => StepCatalogue::of($step), 'at' => (isset($state->closed[$step->id]) ? $state->asAt($step) : $state)->at($step, $now, $request->user()->units, StepCatalogue::of($step)->usesShelf() ? Container::stores() : new Inventory),
            'inHand' => $inHand, 'now' => $now, 'units' => $request->user()->units, 'ledger' => $state->ledger(),
            'ahead' => ! isset($state->closed[$step->id]) && $state->openBefore($step) !== [],
        ]);
    }

    public function record(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        return $this->attempt($request, $job, fn (Recorder $recorder) => $recorder->record(
            self::text($request, 'step'), self::text($request, 'form'), is_array($request->input('fields')) ? $request->input('fields') : [],
        ));
    }

    public function acknowledge(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        return $this->attempt($request, $job, fn (Recorder $recorder) => $recorder->acknowledge(self::text($request, 'step'), self::text($request, 'hazard')));
    }

    public function finish(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        return $this->attempt($request, $job, fn (Recorder $recorder) => $recorder->finish(self::text($request, 'step'), self::text($request, 'reason')));
    }

    public function edit(Request $request, Job $job, int $seq): View
    {
        $job->loadMissing('vehicle');
        $state = $job->state();
        foreach ($state->entries as $entry) {
            if ($entry->seq === $seq && isset($state->steps[$entry->step])) {
                $at = $state->at($state->steps[$entry->step], now()->getTimestamp(), $request->user()->units, Container::stores($job, $seq));

                return view('run.correct', ['job' => $job, 'entry' => $entry, 'form' => FormOf::entry($at, $entry), 'units' => $request->user()->units, 'title' => StepCatalogue::of($at->step)->title($at)]);
            }
        }
        abort(404);
    }

    public function correct(Request $request, Job $job, int $seq): RedirectResponse|JsonResponse
    {
        return $this->attempt($request, $job, fn (Recorder $recorder) => $request->input('take_back') === '1'
            ? $recorder->withdraw($seq, self::text($request, 'reason'))
            : $recorder->correct($seq, is_array($request->input('fields')) ? $request->input('fields') : [], self::text($request, 'reason')));
    }
}
