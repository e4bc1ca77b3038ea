<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Plan\LeftBehind;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\View\View;

/** A job in the shop’s hands: handed over, rested over night, given up. What it says of the coolant is the journal’s alone. */
final class JobController extends Controller
{
    private const LONGEST_REASON = 300;

    private const LEAST_REASON = 5;

    private const LONGEST_REST_DAYS = 30;

    public function show(Job $job): View|RedirectResponse
    {
        if ($job->isClosed()) {
            return redirect("/jobs/{$job->id}/record");
        }
        $job->loadMissing(['vehicle', 'circuit', 'planner', 'holder']);
        $state = $job->state();

        return view('run.manage', [
            'job' => $job,
            'people' => Person::query()->whereNull('disabled_at')->orderBy('name')->get(['id', 'name']),
            'open' => array_map(
                fn (string $port) => $job->circuit->read()->ports[$port]->label ?? $port,
                self::open($state),
            ),
            'newer' => $job->circuit->newestRevision()->revision > $job->circuit->revision
                ? $job->circuit->newestRevision()
                : null,
            'morning' => now()->addDay()->setTime(7, 0)->format('Y-m-d\TH:i'),
        ]);
    }

    public function handOver(Request $request, Job $job): RedirectResponse
    {
        $to = Person::query()->whereNull('disabled_at')->find($request->integer('to'))
            ?? throw new InvalidField('to', 'Choose somebody who signs in here.');
        $this->change(
            $request,
            $job,
            ['held_by' => $to->id],
            [new Change('in hand of', $job->holder->name ?? $job->planner->name, $to->name)],
        );

        return redirect("/jobs/{$job->id}")->with('notice', "In {$to->name}’s hands now.");
    }

    /** Nothing happens until then; the next entry wakes it. */
    public function rest(Request $request, Job $job): RedirectResponse
    {
        $until = Carbon::hasFormat(self::text($request, 'until'), 'Y-m-d\TH:i')
            ? Carbon::createFromFormat('Y-m-d\TH:i', self::text($request, 'until'))
            : null;
        if ($until === null || $until->isPast() || $until->greaterThan(now()->addDays(self::LONGEST_REST_DAYS))) {
            throw new InvalidField(
                'until',
                'Enter the day and time at which somebody goes on, within the next '.self::LONGEST_REST_DAYS.' days.',
            );
        }
        $this->change(
            $request,
            $job,
            ['rests_until' => $until],
            [new Change('rests until', '', $until->format('Y-m-d H:i'))],
        );

        return redirect('/')->with('notice', "{$job->number()} rests until {$until->format('Y-m-d H:i')}.");
    }

    /** What stands open or empty is carried to the next job on the vehicle, which may be planned at once. */
    public function abandon(Request $request, Job $job): RedirectResponse
    {
        $why = mb_substr(trim(self::text($request, 'why')), 0, self::LONGEST_REASON);
        if (mb_strlen($why) < self::LEAST_REASON) {
            throw new InvalidField('why', 'Say why, for whoever works on it next.');
        }
        $this->change($request, $job, [
            'abandoned_at' => now(), 'abandoned_by' => self::person($request)->id, 'abandoned_because' => $why, 'rests_until' => null,
            'left_behind' => self::left($job)->toArray(),
        ], [new Change('given up', '', $why)]);

        return $request->boolean('anew')
            ? redirect("/jobs/new?vehicle={$job->vehicle_id}")->with(
                'notice',
                "{$job->number()} is given up. What it left stands in the plan.",
            )
            : redirect("/vehicles/{$job->vehicle_id}")->with('notice', "{$job->number()} is given up.");
    }

    /**
     * @param  array<string, mixed>  $attributes
     * @param  list<Change>  $said
     */
    private function change(Request $request, Job $job, array $attributes, array $said): void
    {
        OneWriter::run(function () use ($request, $job, $attributes, $said): void {
            if ($job->refresh()->isClosed()) {
                throw new InvalidField('job', 'This job is closed. Its record stands as it is.');
            }
            $job->update($attributes);
            Trail::note(self::person($request), Subject::Job, $job->number(), $said);
        });
    }

    private static function left(Job $job): LeftBehind
    {
        $state = $job->state();
        $ledger = $state->ledger();

        return new LeftBehind(
            $job->number(),
            self::open($state),
            $ledger->lines === [] ? null : max(0.0, $ledger->contentMl),
            $ledger->plusMinusMl,
        );
    }

    /** @return list<string> ports that stand open as far as it is recorded */
    private static function open(JobState $state): array
    {
        return array_keys(array_filter(
            $state->ports(now()->getTimestamp()),
            fn (PortState $is) => $is !== PortState::Closed,
        ));
    }
}
