<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Instruments\Door;
use App\Instruments\Gauges;
use App\Instruments\Scale;
use App\Instruments\StandIn;
use App\Models\Feed;
use App\Models\Job;
use App\Practice\Ground;
use Aqbel\Core\Instruments\Batch;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What instruments have sent to a job, for the page that draws it. */
final class SeriesController extends Controller
{
    public function show(Request $request, Job $job): JsonResponse
    {
        $since = $request->query('since');

        return response()
            ->json(
                (new Gauges($job, self::person($request)->units, now()->getTimestampMs()))->since(
                    is_numeric($since) ? (int) $since : null,
                ),
            )
            ->header('Cache-Control', 'no-store');
    }

    /** The bucket on its scale. */
    public function scale(Request $request, Job $job): JsonResponse
    {
        $zeroed = $request->query('zeroed');
        $now = now()->getTimestampMs();

        return response()
            ->json(
                ['now' => $now]
                    + (Scale::now(
                        $job,
                        self::person($request)->units,
                        $now,
                        is_numeric($zeroed) ? (int) $zeroed : null,
                    )
                        ?? []),
            )
            ->header('Cache-Control', 'no-store');
    }

    /**
     * What the vehicle that is not there shows now: the page sends it to the door, as a
     * cable would; where somebody practises it is taken here.
     */
    public function standIn(Request $request, Feed $feed): Response
    {
        abort_unless(
            (Ground::isHere() || config('aqbel.demo')) && $feed->stand_in !== null && $feed->ended_at === null,
            404,
        );
        $since = $request->query('since');
        // A page that was loaded anew goes on where the feed stands.
        $stands = $feed->last_ms === null ? -1.0 : ($feed->last_ms - (int) $feed->offset_ms) / 1000.0;
        $lines = (new StandIn($feed))->lines(is_numeric($since) ? (float) $since : $stands, now()->getTimestamp());

        if (Ground::isHere()) {
            $lines === [] || Door::take($feed, Batch::of($lines));

            return response('', 204, ['Cache-Control' => 'no-store']);
        }

        return response(implode("\n", $lines), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Cache-Control' => 'no-store',
        ]);
    }
}
