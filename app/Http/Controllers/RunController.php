<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\Recorder;
use App\Models\Container;
use App\Models\Job;
use App\People\KnownSecret;
use App\Run\CorrectionPage;
use App\Run\LookedAt;
use App\Run\RunPage;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\EntryForm;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\View\View;

/** The run: one step in hand, what may be entered, what it means. */
final class RunController extends JournalController
{
    public function show(Request $request, Job $job): View|RedirectResponse
    {
        $page = RunPage::of($job, self::person($request), LookedAt::by($request));

        return $page === null ? redirect("/jobs/{$job->id}/record") : view('run.show', ['page' => $page]);
    }

    public function record(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        return $this->attempt($request, $job, function (Recorder $recorder) use ($request): bool {
            [$step, $form] = [self::text($request, 'step'), self::text($request, 'form')];
            $also = self::text($request, 'also');
            $recorder->record($step, $form, self::fields($request), self::hazards($request), $also);

            // What came up may have put something in front of the step.
            return Lines::tryFrom($form)?->isAnyTime() === true
                || (($request->input('done') === '1' || $also !== '') && $recorder->finishWhereNothingIsMissing($step));
        });
    }

    public function acknowledge(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        return $this->attempt(
            $request,
            $job,
            fn (Recorder $recorder) => $recorder->acknowledge(self::hazards($request)),
        );
    }

    /** @return array<string, string> step by caution, of those that were read */
    private static function hazards(Request $request): array
    {
        $read = [];
        foreach ((array) $request->input('hazards') as $hazard => $step) {
            $read += is_string($step) ? [(string) $hazard => $step] : [];
        }

        return $read;
    }

    public function sheet(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        $sheet = $request->input('sheet');

        return $this->attempt(
            $request,
            $job,
            fn (Recorder $recorder) => $recorder->sheet(
                is_array($sheet) ? $sheet : [],
                self::text($request, 'upto'),
                self::hazards($request),
            ),
        );
    }

    public function finish(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        $known = self::text($request, 'known');
        // Looked at before the journal is taken: it is slow on purpose.
        $unsigned = $known === ''
            ? 'Enter your PIN or your password: the record is signed with it.'
            : (new KnownSecret($request, self::person($request), pinIsEnough: true))->why($known);

        return $this->attempt($request, $job, fn (Recorder $recorder) => $recorder->finish(
            self::text($request, 'step'), self::text($request, 'reason'), $unsigned,
        ));
    }

    /** What was forgotten, with the time at which it happened. */
    public function late(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        $typed = self::text($request, 'when');
        $when = Carbon::hasFormat($typed, 'Y-m-d\TH:i')
            ? Carbon::createFromFormat('Y-m-d\TH:i', $typed)?->startOfMinute()
            : null;

        $noTime = $when === null || $when->isFuture()
            ? new InvalidField('when', 'Enter the day and the time at which it happened.')
            : null;
        $write = function (Recorder $recorder) use ($request, $noTime): void {
            $asTold = $recorder->late(
                self::text($request, 'step'),
                self::text($request, 'form'),
                self::fields($request),
                $noTime,
            );
            if (! $asTold) {
                $request->session()->flash('notice', 'Taken as of now: it could not be at the time that was told.');
            }
        };

        return $this->attempt(
            $request,
            $job,
            $write,
            $when === null || $noTime !== null ? 0 : max(0, now()->getTimestamp() - $when->getTimestamp()),
        );
    }

    public function edit(Request $request, Job $job, int $seq, StepCatalogue $kinds): View|RedirectResponse
    {
        if ($job->stands()) {
            return redirect("/jobs/{$job->id}/record")->with(
                'notice',
                'This job is signed off. Its record stands as it is.',
            );
        }
        $job->loadMissing('vehicle');
        $units = self::person($request)->units;
        $state = $job->state();
        foreach ($state->entries as $entry) {
            $step = $state->steps[$entry->step] ?? null;
            if ($entry->seq === $seq && $step !== null) {
                $at = $state->at($step, now()->getTimestamp(), $units, Container::stores($job, $seq));

                return view(
                    'run.correct',
                    [
                        'page' => new CorrectionPage(
                            $job,
                            $entry,
                            (new EntryForm($kinds))->of($at, $entry),
                            $kinds->of($step)->title($at),
                            $units,
                            $entry->by !== (string) self::person($request)->id,
                        ),
                    ],
                );
            }
        }
        abort(404);
    }

    public function correct(Request $request, Job $job, int $seq): RedirectResponse|JsonResponse
    {
        return $this->attempt($request, $job, fn (Recorder $recorder) => $request->input('take_back') === '1'
            ? $recorder->withdraw($seq, self::text($request, 'reason'))
            : $recorder->correct($seq, self::fields($request), self::text($request, 'reason')));
    }
}
