<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Job;
use App\Models\Person;
use App\Models\Practice;
use App\Practice\Band;
use App\Practice\Ground;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\View;
use Symfony\Component\HttpFoundation\Response;

/** A page about something practised on stands on that ground, and goes by its clock, from the first look to the last line. */
final class OnPracticeGround
{
    public function handle(Request $request, Closure $next): Response
    {
        $about = array_filter($request->route()?->parameters() ?? [], fn (mixed $one) => $one instanceof Model && $one->getConnectionName() === Ground::CONNECTION);

        return $about === [] ? $next($request) : Ground::on(function () use ($request, $next, $about): Response {
            $one = reset($about);
            $practice = Practice::query()->where('job_id', $one instanceof Job ? $one->id : $one->getAttribute('job_id'))->first();
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
