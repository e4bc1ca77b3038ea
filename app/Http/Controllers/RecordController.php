<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Finished jobs, and the record of any job as a printable sheet. */
final class RecordController
{
    public function index(Request $request): View
    {
        $search = is_string($request->query('q')) ? mb_substr(trim($request->query('q')), 0, 60) : '';
        $jobs = Job::query()->with(['vehicle', 'planner'])->whereNotNull('signed_at')
            ->when($search !== '', fn ($query) => $query->whereHas('vehicle', fn ($q) => $q->whereLike('plate', "%{$search}%")->orWhereLike('name', "%{$search}%")))
            ->orderByDesc('signed_at')->select(['id', 'vehicle_id', 'planned_by', 'reason', 'signed_at', 'created_at'])->limit(50)->get();

        return view('records', ['jobs' => $jobs, 'search' => $search]);
    }

    public function show(Request $request, Job $job): View
    {
        $job->loadMissing(['vehicle', 'circuit', 'planner']);

        return view('record', ['job' => $job, 'state' => $job->state(), 'units' => $request->user()->units, 'now' => now()->getTimestamp()]);
    }
}
