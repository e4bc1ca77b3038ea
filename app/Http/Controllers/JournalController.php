<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Floor\TickSeen;
use App\Http\Answered;
use App\Instruments\Watch;
use App\Journal\Recorder;
use App\Models\Job;
use App\Run\LookedAt;
use App\Run\RunPage;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** What every write to a job's journal shares: the key that makes a repeated send count once, and the way back. */
abstract class JournalController extends Controller
{
    /**
     * @param  \Closure(Recorder): mixed  $write  true where the step is finished by it
     * @param  ?int  $late  seconds since it happened, where somebody says so
     */
    protected function attempt(
        Request $request,
        Job $job,
        \Closure $write,
        ?int $late = null,
    ): RedirectResponse|JsonResponse {
        $key = self::text($request, 'key');
        $age = $late ?? max(0, (int) self::text($request, 'age'));
        $script = $request->expectsJson();
        if (! Answered::isYours($request)) {
            return $script
                ? Answered::notYours($request)
                : back()
                    ->withInput()
                    ->withErrors([
                        'finish' => 'Somebody else has signed in on this tablet since. '
                            .'Send it again if it is yours to say.',
                    ]);
        }
        // An entry is stored whatever becomes of what instruments sent.
        rescue(fn () => Watch::upToNow($job));
        try {
            $finished = $write(
                new Recorder($job, self::person($request), $key === '' ? Str::random(32) : $key, $age, $late !== null),
            );
        } catch (InvalidFields|InvalidField $invalid) {
            $errors = $invalid instanceof InvalidFields
                ? $invalid->byField()
                : [$invalid->field => $invalid->getMessage()];
            // What waited is shown where it is kept; what was just typed, on the page it was typed on.
            $back = $script && $request->input('waited') === '1'
                    ? back()
                    : back()->withInput($request->except('known', '_token'))->withErrors($errors);

            return $script ? Answered::refused($request, $errors, $back) : $back;
        }
        $step = self::text($request, 'step');
        $stay = $step !== '' && $request->input('stay') === '1' && $finished !== true;
        $to = redirect("/jobs/{$job->id}".($stay ? '?step='.urlencode($step) : ''));

        return $script
            ? Answered::stored($request, $to, self::shownWithTheAnswer($request, $job, $stay ? $step : null))
            : $to;
    }

    /** The run as it stands after an entry, for a page that puts it in place itself; null where it leads elsewhere. */
    private static function pageAfter(Request $request, Job $job, ?string $step): ?string
    {
        if (! $request->hasHeader('X-Run')) {
            return null;
        }
        app(TickSeen::class)->mark($job->id);
        $page = RunPage::of($job->fresh() ?? $job, self::person($request), new LookedAt($step));

        if ($page === null) {
            return null;
        }
        $html = view('run.show', ['page' => $page])->render();
        // What it tells is shown with it, not on the next page once more.
        $request->session()->forget('notice');

        return $html;
    }

    /** The entry is stored whatever becomes of the page: what cannot be shown with the answer is fetched after it. */
    private static function shownWithTheAnswer(Request $request, Job $job, ?string $step): ?string
    {
        try {
            return self::pageAfter($request, $job, $step);
        } catch (\Throwable $failed) {
            report($failed);

            return null;
        }
    }
}
