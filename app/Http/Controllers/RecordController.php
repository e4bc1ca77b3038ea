<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Models\Photo;
use App\Models\Shop;
use App\Record\HandOver;
use App\Record\Pdf;
use App\Record\RecordSheet;
use App\Run\PhotoLine;
use App\Shop\Search;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
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
        return view('record', ['sheet' => self::sheet($request, $job, $kinds)]);
    }

    /** The same on paper: same order, same numbers. */
    public function pdf(Request $request, Job $job, StepCatalogue $kinds): Response
    {
        $sheet = self::sheet($request, $job, $kinds);
        $photos = array_map(fn (PhotoLine $line): array => [$line, Pdf::jpeg(Photo::query()->find($line->id)?->path(true) ?? '')], $sheet->photos());
        $html = view('pdf.record', ['sheet' => $sheet, 'picture' => Pdf::svg(view('circuits.svg', ['picture' => $sheet->picture(), 'dark' => false])->render()), 'photos' => $photos])->render();

        return Pdf::response(Pdf::of($html), "{$job->number()}.pdf");
    }

    /** For whoever drives the vehicle, in either system of units. */
    public function handOver(Request $request, Job $job, StepCatalogue $kinds): Response
    {
        $html = view('pdf.hand-over', ['sheet' => self::handOverSheet($request, $job, $kinds)])->render();

        return Pdf::response(Pdf::of($html), "{$job->number()}-hand-over.pdf");
    }

    /** For tank and can. */
    public function label(Request $request, Job $job, StepCatalogue $kinds): Response
    {
        $html = view('pdf.label', ['sheet' => self::handOverSheet($request, $job, $kinds)])->render();

        return Pdf::response(Pdf::of($html, Pdf::LABEL), "{$job->number()}-label.pdf");
    }

    private static function sheet(Request $request, Job $job, StepCatalogue $kinds): RecordSheet
    {
        $job->loadMissing(['vehicle', 'circuit', 'planner']);

        return new RecordSheet($job, Shop::here(), $job->state(), self::units($request), $kinds, now()->getTimestamp());
    }

    private static function handOverSheet(Request $request, Job $job, StepCatalogue $kinds): HandOver
    {
        $job->loadMissing(['vehicle', 'circuit']);

        return new HandOver($job, Shop::here(), $job->state(), self::units($request), $kinds);
    }

    /** The reader's, unless the address says otherwise: a sheet is often for somebody else. */
    private static function units(Request $request): UnitSystem
    {
        return UnitSystem::tryFrom(self::text($request, 'units')) ?? self::person($request)->units;
    }
}
