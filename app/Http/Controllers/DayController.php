<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Floor\DayPage;
use App\Journal\OneWriter;
use App\Models\Job;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Who goes where next, worked out anew with every entry; a job is put first, or let go, by a press. */
final class DayController extends Controller
{
    public function show(StepCatalogue $kinds): View
    {
        return view('day', ['page' => new DayPage($kinds, now()->getTimestamp())]);
    }

    public function move(Request $request, Job $job): RedirectResponse
    {
        OneWriter::run(function () use ($request, $job): void {
            $rank = $request->boolean('first') ? 1 + (int) Job::query()->open()->max('day_rank') : null;
            Job::query()->whereKey($job->id)->update(['day_rank' => $rank]);
        });

        return redirect('/day');
    }
}
