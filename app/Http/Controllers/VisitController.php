<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Models\Person;
use App\Models\Visit;
use App\Photos\Photograph;
use App\Photos\Quota;
use App\Visits\DueVisits;
use App\Visits\Ics;
use App\Visits\VisitBook;
use App\Visits\VisitPage;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** The days after a signature: what is due, each look signed by itself beneath its record. */
final class VisitController extends Controller
{
    /** Mine and everybody's, overdue first. */
    public function index(Request $request): View
    {
        return view('visits.index', ['due' => DueVisits::all(self::person($request))]);
    }

    public function show(Request $request, Job $job): View|RedirectResponse
    {
        if ($job->signed_at === null) {
            return redirect("/jobs/{$job->id}");
        }
        $job->loadMissing(['vehicle', 'circuit']);

        return view('visits.show', [
            'page' => new VisitPage(
                $job,
                self::person($request)->units,
                self::person($request),
                $request->integer('visit'),
                $request->integer('correct'),
            ),
            'people' => Person::query()
                ->whereNull('disabled_at')
                ->orderBy('name')
                ->get(['id', 'name']),
        ]);
    }

    /**
     * Signs the look that is due, or one that nobody planned.
     *
     * @throws InvalidField|InvalidFields
     */
    public function store(Request $request, Job $job): RedirectResponse
    {
        $book = new VisitBook($job);
        $visit = Visit::query()->where('job_id', $job->id)->find($request->integer('visit'))
            ?? $book->unplanned(self::text($request, 'key'));
        $file = $request->file('photo');
        $photo = $file === null ? null : $this->keep($job, $file);
        try {
            $book->sign($visit, self::fields($request), self::person($request), self::text($request, 'key'), $photo);
        } catch (\Throwable $refused) {
            $photo?->discard();
            throw $refused;
        }

        return redirect("/jobs/{$job->id}/visits")->with('notice', 'The visit is signed.');
    }

    /** @throws InvalidField|InvalidFields */
    public function correct(Request $request, Visit $visit): RedirectResponse
    {
        $book = new VisitBook($visit->job);
        [$because, $person] = [self::text($request, 'because'), self::person($request)];
        $request->boolean('take_back')
            ? $book->takeBack($visit, $because, $person)
            : $book->correct($visit, self::fields($request), $because, $person, self::text($request, 'key'));

        return redirect("/jobs/{$visit->job_id}/visits")->with(
            'notice',
            $request->boolean('take_back')
                ? 'It is taken back, and stands struck out.'
                : 'The correction counts from now on.',
        );
    }

    private function keep(Job $job, mixed $file): \App\Models\Photo
    {
        Quota::assertRoom($job);

        return Photograph::from($file)->keep($job->id);
    }

    public function ask(Request $request, Job $job): RedirectResponse
    {
        (new VisitBook($job))->ask(self::text($request, 'due_on'), self::text($request, 'watch'));

        return redirect("/jobs/{$job->id}/visits")->with('notice', 'It is booked.');
    }

    public function skip(Request $request, Visit $visit): RedirectResponse
    {
        (new VisitBook($visit->job))->skip($visit, self::text($request, 'because'), self::person($request));

        return redirect("/jobs/{$visit->job_id}/visits");
    }

    public function handOver(Request $request, Visit $visit): RedirectResponse
    {
        (new VisitBook($visit->job))->handOver(
            $visit,
            Person::query()->whereNull('disabled_at')->find($request->integer('to')),
        );

        return redirect("/jobs/{$visit->job_id}/visits");
    }

    public function ics(Visit $visit): Response
    {
        return Ics::response(Ics::of([$visit->loadMissing('job.vehicle')]), "visit-{$visit->id}.ics");
    }
}
