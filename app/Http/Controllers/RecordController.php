<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Models\Shop;
use App\Record\RecordSheet;
use App\Shop\Search;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Finished jobs, and the record of any job as a printable sheet. */
final class RecordController extends Controller
{
    private const MOST = 50;

    private const LONGEST_SEARCH = 60;

    public function index(Request $request): View
    {
        $search = is_string($request->query('q')) ? mb_substr(trim($request->query('q')), 0, self::LONGEST_SEARCH) : '';
        $jobs = Job::query()->with(['vehicle', 'planner'])->whereRaw('coalesce(signed_at, abandoned_at) is not null')
            ->orderByRaw('coalesce(signed_at, abandoned_at) desc')
            ->select(['id', 'vehicle_id', 'planned_by', 'kind', 'signed_at', 'abandoned_at', 'rests_until', 'created_at'])
            ->limit(self::MOST);
        foreach (Search::words($search) as $word) {
            $jobs->whereHas('vehicle', fn (Builder $vehicle) => Search::word($vehicle, ['plate', 'name'], $word));
        }

        return view('records', ['jobs' => $jobs->get(), 'search' => $search]);
    }

    public function show(Request $request, Job $job, StepCatalogue $kinds): View
    {
        $job->loadMissing(['vehicle', 'circuit', 'planner']);

        return view(
            'record',
            [
                'sheet' => new RecordSheet(
                    $job,
                    Shop::here(),
                    $job->state(),
                    self::person($request)->units,
                    $kinds,
                    now()->getTimestamp(),
                ),
            ],
        );
    }
}
