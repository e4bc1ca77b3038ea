<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Feed;
use App\Models\Job;
use App\Models\Person;
use App\Models\Photo;
use App\Models\Practice;
use App\Models\Visit;
use App\Practice\Band;
use App\Practice\Ground;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\View;
use Symfony\Component\HttpFoundation\Response;

/**
 * A page about something practised on stands on that ground, and
 * goes by its clock, from the first look to the last line.
 */
final class OnPracticeGround
{
    public function handle(Request $request, Closure $next): Response
    {
        $about = array_filter(
            $request->route()?->parameters() ?? [],
            fn (mixed $one) => $one instanceof Model && $one->getConnectionName() === Ground::CONNECTION,
        );

        return $about === [] ? $next($request) : Ground::on(function () use ($request, $next, $about): Response {
            $one = reset($about);
            $job = match (true) {
                $one instanceof Job => $one->id,
                $one instanceof Feed, $one instanceof Photo, $one instanceof Visit => $one->job_id,
                default => null,
            };
            $practice = $job === null ? null : Practice::query()->where('job_id', $job)->first();
            $person = $request->user();
            $person instanceof Person && Ground::knows($person);
            $before = Carbon::getTestNow();
            if ($practice !== null) {
                View::share('practice', new Band($practice));
                Carbon::setTestNow($practice->now());
            }
            try {
                return $next($request);
            } finally {
                Carbon::setTestNow($before);
            }
        });
    }
}
