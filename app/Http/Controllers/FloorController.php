<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use Illuminate\View\View;

/** All open jobs by when hands are needed next. */
final class FloorController
{
    public function __invoke(): View
    {
        $now = now()->getTimestamp();
        $jobs = Job::query()->open()->select(['jobs.id', 'jobs.summary', 'jobs.reason', 'jobs.created_at', 'vehicles.plate', 'vehicles.name'])
            ->join('vehicles', 'vehicles.id', '=', 'jobs.vehicle_id')->orderByDesc('jobs.id')->limit(200)->get()
            ->sortBy(fn (Job $job) => $job->summary['clock']['until'] ?? 0);
        [$waiting, $hands] = $jobs->partition(fn (Job $job) => ($job->summary['clock']['until'] ?? 0) > $now);

        return view('floor', ['waiting' => $waiting, 'hands' => $hands, 'now' => $now]);
    }
}
