<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Instruments\LoggerImport;
use App\Instruments\PaperCurve;
use App\Models\Job;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Observed\Started;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\MessageBag;
use Illuminate\Support\ViewErrorBag;
use Illuminate\View\View;

/** A logger's table comes to a job: shown as it was understood, then kept. */
final class LoggerController extends Controller
{
    /** Its page is the answer to a file: whoever comes back to it goes to the run. */
    public function away(Job $job): RedirectResponse
    {
        return redirect("/jobs/{$job->id}");
    }

    public function show(Request $request, Job $job): View|RedirectResponse
    {
        $key = self::text($request, 'import');
        try {
            return $this->preview(
                $request,
                $key === ''
                    ? LoggerImport::from($job, $request->file('file'))
                    : LoggerImport::shown($job, $key, self::columns($request)),
            );
        } catch (InvalidField $wrong) {
            return $this->again($request, $job, $key, $wrong);
        }
    }

    public function keep(Request $request, Job $job): View|RedirectResponse
    {
        $key = self::text($request, 'import');
        try {
            $import = LoggerImport::shown($job, $key, self::columns($request));
            $began = date_create_immutable(
                self::text($request, 'began'),
                new \DateTimeZone(date_default_timezone_get()),
            );
            $points = $import->keep(
                self::person($request),
                $began === false ? PHP_INT_MAX - 86_400 : $began->getTimestamp(),
            );
        } catch (InvalidField $wrong) {
            return $this->again($request, $job, $key, $wrong);
        }

        return redirect("/jobs/{$job->id}#instruments")->with(
            'notice',
            number_format($points).' points are kept with this job.',
        );
    }

    /** What was wrong stands where it was typed; a file that cannot be read, on the run. */
    private function again(Request $request, Job $job, string $key, InvalidField $wrong): View|RedirectResponse
    {
        $errors = (new ViewErrorBag)->put('default', new MessageBag([$wrong->field => [$wrong->getMessage()]]));

        return $key === '' || $wrong->field === 'file'
            ? redirect("/jobs/{$job->id}#instruments")->withErrors([$wrong->field => $wrong->getMessage()])
            : $this->preview($request, LoggerImport::shown($job, $key))->with('errors', $errors);
    }

    private function preview(Request $request, LoggerImport $import): View
    {
        $file = $import->file;
        $points = in_array('time', $file->channels, true) ? $file->points() : [];
        $seconds = $points === []
                ? 0.0
                : max(array_map(fn (array $of): float => $of[count($of) - 1][0], array_values($points)));
        $starts = $import->job->state()->observedAnywhere(Started::class);
        $ends = (int) (now()->getTimestamp() - $seconds);

        return view('run.logger', [
            'import' => $import,
            'minutes' => round($seconds / 60.0, 1),
            'count' => array_sum(array_map(count(...), $points)),
            'curve' => PaperCurve::before('As it was understood', $points, self::person($request)->units),
            'began' => date('Y-m-d\TH:i:s', $starts === [] ? $ends : min($ends, $starts[count($starts) - 1]->at())),
        ]);
    }

    /** @return array<int, string> */
    private static function columns(Request $request): array
    {
        $columns = [];
        foreach ((array) $request->input('columns') as $i => $channel) {
            $columns[(int) $i] = is_string($channel) ? $channel : '';
        }

        return $columns;
    }
}
