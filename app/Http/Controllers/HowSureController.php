<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Models\Right;
use App\Plan\Freeing;
use App\Plan\HowSure;
use Aqbel\Core\Plan\AirsWay;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Ranges;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\View\View;

/** How sure the volumes of a job under way are: a page of its own, because it takes a second. */
final class HowSureController extends Controller
{
    private const KEPT_S = 86400;

    public function show(Request $request, Job $job): View
    {
        $state = $job->state();
        $plan = $state->plan;
        abort_unless($plan instanceof Plan, 404);
        $ranges = Cache::remember(
            "ranges.job.{$job->id}.{$state->journal->planned()}",
            self::KEPT_S,
            fn (): Ranges => Ranges::of($state->circuit, $plan),
        );

        $way = Cache::remember(
            "air.job.{$job->id}.{$state->journal->planned()}",
            self::KEPT_S,
            fn (): AirsWay => AirsWay::of($state->circuit, $plan),
        );
        $units = self::person($request)->units;

        return view('run.how-sure', [
            'job' => $job,
            'sure' => new HowSure($state->circuit, $ranges, $units, $job->vehicle->circuit->asks_for),
            'freeing' => new Freeing($state->circuit, $way, $units),
            'mayMeasure' => self::person($request)->may(Right::ChangeCircuits),
            'vehicle' => $job->vehicle,
        ]);
    }
}
