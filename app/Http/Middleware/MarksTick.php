<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Floor\TickSeen;
use App\Models\Job;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Notes where the shop stands before a page reads anything of it, the job it is about among it. */
final class MarksTick
{
    public function __construct(private readonly TickSeen $seen)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethod('GET')) {
            $job = $request->route('job');
            $this->seen->mark(is_string($job) ? Job::idOf($job) : null);
        }

        return $next($request);
    }
}
