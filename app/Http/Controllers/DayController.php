<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Floor\DayPage;
use App\Journal\OneWriter;
use App\Models\Job;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Who goes where next, worked out anew with every entry; a job is given its place by hand or key, or let go. */
final class DayController extends Controller
{
    public function show(StepCatalogue $kinds): View
    {
        return view('day', ['page' => new DayPage($kinds, now()->getTimestamp())]);
    }

    public function move(Request $request, Job $job): RedirectResponse
    {
        $place = $request->input('place') ?? '';
        if (
            ! is_scalar($place)
            || ! in_array((string) $place, ['', ...array_map(strval(...), range(1, DayPage::MOST_JOBS))], true)
        ) {
            throw new InvalidField('place', 'Say which place in the order it has, from 1, or none.');
        }
        OneWriter::run(function () use ($place, $job): void {
            $others = Job::query()
                ->open()
                ->whereNotNull('day_rank')
                ->whereKeyNot($job->id)
                ->orderBy('day_rank')
                ->orderBy('id')
                ->pluck('id')
                ->all();
            $before = $place === '' ? count($others) : min(count($others), (int) $place - 1);
            $order = [
                ...array_slice($others, 0, $before),
                ...$place === '' ? [] : [$job->id],
                ...array_slice($others, $before),
            ];
            Job::query()
                ->whereKey($job->id)
                ->update(['day_rank' => null]);
            foreach ($order as $i => $id) {
                Job::query()->whereKey($id)->update(['day_rank' => $i + 1]);
            }
        });

        return redirect('/day');
    }
}
