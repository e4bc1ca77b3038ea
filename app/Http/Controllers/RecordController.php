<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Models\Photo;
use App\Models\Right;
use App\Models\Shop;
use App\Record\Facts;
use App\Record\HandOver;
use App\Record\HowWell;
use App\Record\JobDocument;
use App\Record\JobImport;
use App\Record\Pdf;
use App\Record\RecordList;
use App\Record\RecordSheet;
use App\Record\Tables;
use App\Run\PhotoLine;
use App\Shop\Spreadsheet;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\View\View;

/** Finished jobs, and the record of any job as a printable sheet. */
final class RecordController extends Controller
{
    /**
     * Facts made while somebody waits for the records; of a shop that
     * was upgraded or restored the launcher makes them all.
     */
    private const MADE_AT_ONCE = 40;

    public function index(Request $request): View
    {
        $person = self::person($request);
        Facts::keepMissing(self::MADE_AT_ONCE);

        return view('records', [
            'list' => RecordList::asked($request->query()),
            'kinds' => JobKind::cases(),
            'mayImport' => $person->may(Right::ChangeShop),
            'volume' => fn (float $ml): string => $person->units->format($ml, Dimension::Volume),
        ]);
    }

    /** What circuits said beforehand beside what was measured. */
    public function howWell(Request $request): View
    {
        return view('how-well', [
            'page' => new HowWell(self::person($request)->units),
            'mayTake' => self::person($request)->may(Right::ChangeShop),
        ]);
    }

    public function show(Request $request, Job $job, StepCatalogue $kinds): View
    {
        return view('record', ['sheet' => self::sheet($request, $job, $kinds)]);
    }

    /** The same on paper: same order, same numbers. */
    public function pdf(Request $request, Job $job, StepCatalogue $kinds): Response
    {
        $sheet = self::sheet($request, $job, $kinds);
        $photos = array_map(
            fn (PhotoLine $line): array => [$line, Pdf::jpeg(Photo::query()->find($line->id)?->path(true) ?? '')],
            $sheet->photos(),
        );
        $html = view('pdf.record', [
            'sheet' => $sheet,
            'picture' => Pdf::svg(view('circuits.svg', ['picture' => $sheet->picture(), 'dark' => false])->render()),
            'photos' => $photos,
        ])->render();

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

    /** All of it as data, `aqbel-job/1`. */
    public function json(Job $job, StepCatalogue $kinds): Response
    {
        return response(JobDocument::file($job, $kinds), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"{$job->number()}.json\"",
        ]);
    }

    /** What was read in the course of a job, as a table. */
    public function readings(Job $job): Response
    {
        return Spreadsheet::response(Tables::readings($job->state()), "{$job->number()}-readings.csv");
    }

    public function table(string $table): Response
    {
        return Spreadsheet::response(match ($table) {
            'jobs' => Tables::jobs(),
            'visits' => Tables::visits(),
            'stock' => Tables::stock(),
            default => Tables::waste(),
        }, "{$table}.csv");
    }

    /** A job of another shop, read from then on and never written on. */
    public function import(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        $file = $request->file('file');
        $job = JobImport::of(
            $file instanceof UploadedFile && $file->isValid() ? (string) $file->get() : '',
            self::person($request),
        );

        return redirect("/jobs/{$job->id}/record")->with(
            'notice',
            'It is here, as it was there. Nothing is written on it.',
        );
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
