<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Models\Practice;
use App\Practice\PracticePage;
use App\Practice\Result;
use App\Practice\ResultPage;
use App\Practice\Start;
use Aqbel\Core\Practice\Exercises;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Exercises on vehicles that are not there. */
final class PracticeController extends Controller
{
    private const FASTEST = 20;

    public function index(Request $request): View
    {
        return view('practice.index', ['page' => PracticePage::for(self::person($request))]);
    }

    public function store(Request $request, string $exercise): RedirectResponse
    {
        $practice = Start::of(Exercises::of($exercise) ?? abort(404), self::person($request));

        return redirect("/jobs/{$practice->job_id}");
    }

    /** Its clock from now on: so fast, or at once where the wait of the step in hand is over. */
    public function clock(Request $request, Job $job): RedirectResponse
    {
        $practice = self::practiceOf($job);
        $until = $request->boolean('to_end') && $job->waits_until !== null ? $job->waits_until + 1 : 0;
        $practice->setClock(
            max(now()->getTimestamp(), $until),
            min(self::FASTEST, max(1, $request->integer('speed', $practice->speed))),
        );

        return redirect("/jobs/{$job->id}");
    }

    public function end(Job $job): RedirectResponse
    {
        Result::of(self::practiceOf($job));

        return redirect("/jobs/{$job->id}/practice");
    }

    public function result(Request $request, Job $job): View|RedirectResponse
    {
        $practice = self::practiceOf($job);

        return $practice->came_to === null
            ? redirect("/jobs/{$job->id}")
            : view('practice.result', ['page' => new ResultPage($practice, self::person($request)->units)]);
    }

    private static function practiceOf(Job $job): Practice
    {
        return Practice::query()->where('job_id', $job->id)->firstOrFail();
    }
}
