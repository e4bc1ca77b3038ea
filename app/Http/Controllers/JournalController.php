<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\Recorder;
use App\Models\Job;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** What every write to a job's journal shares: the key that makes a repeated send count once, and the way back. */
abstract class JournalController extends Controller
{
    /** Entries that waited on a tablet without connection are taken as of when they were made, up to this long ago. */
    private const LONGEST_WAIT_S = 12 * 3600;

    /**
     * @param  \Closure(Recorder): mixed  $write  true where the step is finished by it
     * @param  ?int  $late  seconds since it happened, where somebody says so
     */
    protected function attempt(Request $request, Job $job, \Closure $write, ?int $late = null): RedirectResponse|JsonResponse
    {
        $key = self::text($request, 'key');
        $age = $late ?? max(0, min(self::LONGEST_WAIT_S, (int) self::text($request, 'age')));
        try {
            $finished = $write(new Recorder($job, self::person($request), $key === '' ? Str::random(32) : $key, $age));
        } catch (InvalidFields|InvalidField $invalid) {
            if ($request->expectsJson() && $request->input('waited') === '1') {
                return new JsonResponse(['message' => $invalid->getMessage()], 422);
            }
            $errors = $invalid instanceof InvalidFields
                ? $invalid->byField()
                : [$invalid->field => $invalid->getMessage()];

            return self::to($request, back()->withInput()->withErrors($errors));
        }
        $step = self::text($request, 'step');
        $stay = $step !== '' && $request->input('stay') === '1' && $finished !== true;

        return self::to($request, redirect("/jobs/{$job->id}".($stay ? '?step='.urlencode($step) : '')));
    }

    /** The page's script sends by itself and is told where to go on; a plain form is sent there. */
    private static function to(Request $request, RedirectResponse $redirect): RedirectResponse|JsonResponse
    {
        return $request->expectsJson() ? new JsonResponse(['to' => $redirect->getTargetUrl()]) : $redirect;
    }
}
