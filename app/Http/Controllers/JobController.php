<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Floor\Projection;
use App\Journal\OneWriter;
use App\Journal\Recorder;
use App\Library\Changes;
use App\Models\Feed;
use App\Models\Job;
use App\Models\Person;
use App\Plan\KeptFills;
use App\Plan\NewerRevision;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Judged\EngineRuns;
use Aqbel\Core\Judged\FrostKept;
use Aqbel\Core\Judged\HeardRunning;
use Aqbel\Core\Judged\StillSetUp;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Simulations;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Tone;
use Aqbel\Core\Steps\GivenUp;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Replanning;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\View\View;

/**
 * A job in the shop’s hands: handed over, rested over night, given up. What it says of the coolant is the journal’s
 * alone.
 */
final class JobController extends JournalController
{
    private const LONGEST_REASON = 300;

    private const LEAST_REASON = 5;

    private const LONGEST_REST_DAYS = 30;

    public function show(Request $request, Job $job, Replanning $replanning): View|RedirectResponse
    {
        if ($job->stands()) {
            return redirect("/jobs/{$job->id}/record");
        }
        $job->loadMissing(['vehicle', 'circuit', 'planner', 'holder']);
        $state = $job->state();
        $newer = $job->circuit->newestRevision();
        $fills = new Simulations($state->circuit, Plan::of($state)->choices, new KeptFills($job->circuit_id));

        return view('run.manage', [
            'job' => $job,
            'school' => Field::choice(
                'school',
                'Fill by',
                $replanning->schools($state, $fills),
                Plan::of($state)->school->id(),
            ),
            'seen' => Replanning::newest($state),
            'place' => self::placedNow(Plan::of($state)->choices),
            'target' => Replanning::targetField()->preset(Plan::of($state)->choices->targetFraction),
            'units' => self::person($request)->units,
            'feeds' => Feed::query()->sending()->where('job_id', $job->id)->whereNull('stand_in')->get(),
            'people' => Person::query()->whereNull('disabled_at')->orderBy('name')->get(['id', 'name']),
            'open' => array_map(
                fn (string $port) => $state->circuit->ports[$port]->label ?? $port,
                LeftBehind::of($state, $job->number(), now()->getTimestamp())->open,
            ),
            'stillSo' => implode(', ', array_map(fn (SetUp $what) => $what->label(), StillSetUp::standing($state))),
            'newer' => $newer->revision > $job->circuit->revision ? $newer : null,
            'changes' => Changes::between($job->circuit->document, $newer->document),
            'freezes' => self::freezes($state, self::person($request)->units),
            'morning' => now()->addDay()->setTime(7, 0)->format('Y-m-d\TH:i'),
        ]);
    }

    public function handOver(Request $request, Job $job): RedirectResponse
    {
        $to = Person::query()->whereNull('disabled_at')->find($request->integer('to'))
            ?? throw new InvalidField('to', 'Choose somebody who signs in here.');
        $this->change($request, $job, fn () => ['held_by' => $to->id], fn () => new Change(
            'in hand of',
            $job->holder->name ?? $job->planner->name,
            $to->name,
        ));

        return redirect("/jobs/{$job->id}")->with('notice', "In {$to->name}’s hands now.");
    }

    /** Where what is inside freezes, in words; null while nobody knows what that is. */
    private static function freezes(JobState $state, UnitSystem $units): ?string
    {
        $share = $state->ledger()->contentMl > 0.0 ? FrostKept::inside($state) : null;

        $inside = $share === null ? null : new Mixture($state->circuit->facts->base, $share);

        return $inside === null
            ? null
            : ($inside->freezeIsBound() ? 'below ' : 'at ')
                .$units->format($inside->freezePoint()->degC(), Dimension::Temperature);
    }

    /** @return list<Field> with what holds now as it stands */
    private static function placedNow(Choices $choices): array
    {
        [$elevation, $shelter] = Replanning::placeFields();

        return [
            $elevation->preset(1000.0 * $choices->elevationM),
            Field::choice($shelter->name, $shelter->label, $shelter->choices, $choices->shelter->value),
        ];
    }

    /** Another way, another mixture or another place, from the step in hand on. */
    public function anotherWay(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        return $this->attempt(
            $request,
            $job,
            fn (Recorder $recorder) => $recorder->planAnew(
                $request->only(['school', 'target', 'elevation', 'shelter', 'why', 'seen']),
            ),
        );
    }

    /** Nothing happens until then; the next entry wakes it. */
    public function rest(Request $request, Job $job, StepCatalogue $kinds): RedirectResponse
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
        $this->change($request, $job, function () use ($job, $until, $kinds): array {
            self::mayRest($job->state(), $kinds);

            return ['rests_until' => $until];
        }, fn () => new Change('rests until', '', $until->format('Y-m-d H:i')));

        return redirect('/')->with('notice', "{$job->number()} rests until {$until->format('Y-m-d H:i')}.");
    }

    /** The circuit was changed meanwhile: the same choices on the newer revision, and all that was recorded stays. */
    public function merge(
        Request $request,
        Job $job,
        NewerRevision $on,
        PlanCodec $codec,
        Projection $projection,
    ): RedirectResponse {
        $newer = $job->circuit->newestRevision();
        if (array_filter($job->state()->cameUp(), fn (Entry $line) => $line->planned !== null) !== []) {
            throw new InvalidField(
                'merge',
                'This job goes another way than it was planned. Plan it anew on the newer circuit, so that what is '
                    .'inside is carried along.',
            );
        }
        $this->change($request, $job, fn () => [
            'plan' => $codec->write($on->plan($job, $newer)), 'circuit_id' => $newer->id,
        ], fn () => new Change(
            'circuit revision',
            (string) $job->circuit->revision,
            (string) $newer->revision,
        ), function () use ($job, $newer, $projection): void {
            $job->setRelation('circuit', $newer);
            $projection->refresh($job, $job->state());
        });

        return redirect("/jobs/{$job->id}")->with('notice', "Goes by revision {$newer->revision} of the circuit now.");
    }

    /** What stands open or empty is carried to the next job on the vehicle, which may be planned at once. */
    public function abandon(Request $request, Job $job, StepCatalogue $kinds): RedirectResponse
    {
        $why = mb_substr(trim(self::text($request, 'why')), 0, self::LONGEST_REASON);
        if (mb_strlen($why) < self::LEAST_REASON) {
            throw new InvalidField('why', 'Say why, for whoever works on it next.');
        }
        // Under the lock: an entry that has just come in counts.
        $this->change($request, $job, function () use ($request, $job, $why, $kinds): array {
            $state = $job->state();
            self::assertOff($state, $kinds);

            return [
                'abandoned_at' => now(), 'abandoned_by' => self::person($request)->id, 'abandoned_because' => $why,
                'rests_until' => null,
                'left_behind' => GivenUp::leaves($state, $job->number(), now()->getTimestamp())->toArray(),
            ];
        }, fn () => new Change('given up', '', $why));

        return $request->boolean('anew')
            ? redirect("/jobs/new?vehicle={$job->vehicle_id}")->with(
                'notice',
                "{$job->number()} is given up. What it left stands in the plan.",
            )
            : redirect("/vehicles/{$job->vehicle_id}")->with('notice', "{$job->number()} is given up.");
    }

    /** Danger is never put to sleep, and nobody goes home from an engine that runs. */
    private static function mayRest(JobState $state, StepCatalogue $kinds): void
    {
        $step = $state->stepInHand();
        if ($step === null) {
            return;
        }
        [$kind, $at] = [$kinds->of($step), $state->at($step, now()->getTimestamp())];
        if ($kind->does(Does::RunsEngine) && $kind->ran($at) !== null) {
            throw new InvalidField('until', "The engine has been started in “{$kind->title($at)}”. Shut it off "
                .'and finish that step first.');
        }
        if ($kind->verdict($at)?->tone === Tone::Stop) {
            throw new InvalidField('until', "{$kind->verdict($at)->title}: that does not wait. Put it right first.");
        }
    }

    /** Whoever gives a job up takes its dangers off every page: not while its engine runs. */
    private static function assertOff(JobState $state, StepCatalogue $kinds): void
    {
        $step = $state->stepInHand();
        $at = $step === null ? null : $state->at($step, now()->getTimestamp());
        if ($at !== null && (EngineRuns::at($at) || HeardRunning::of($at) !== null)) {
            throw new InvalidField('why', "The engine runs in “{$kinds->of($at->step)->title($at)}”. Shut it off there first.");
        }
    }

    /**
     * @param  \Closure(): array<string, mixed>  $attributes
     * @param  \Closure(): Change  $said
     * @param  ?\Closure(): void  $then
     */
    private function change(
        Request $request,
        Job $job,
        \Closure $attributes,
        \Closure $said,
        ?\Closure $then = null,
    ): void {
        OneWriter::run(function () use ($request, $job, $attributes, $said, $then): void {
            if ($job->refresh()->stands()) {
                throw new InvalidField('job', 'This job is closed. Its record stands as it is.');
            }
            $change = $said();
            $job->update($attributes());
            Trail::note(self::person($request), Subject::Job, $job->number(), [$change]);
            $then?->__invoke();
        });
    }
}
