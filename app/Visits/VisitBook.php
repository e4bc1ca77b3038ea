<?php

declare(strict_types=1);

namespace App\Visits;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Job;
use App\Models\Person;
use App\Models\Photo;
use App\Models\Right;
use App\Models\Visit;
use App\Record\Facts;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Life;
use Aqbel\Core\Observed\FollowUpBooked;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Usage;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Visits\DaysAfter;
use Aqbel\Core\Visits\DaysAfterCode;
use Aqbel\Core\Visits\Visit as Seen;
use Aqbel\Core\Visits\VisitForm;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/**
 * The days after a signature: visits booked, signed, skipped and
 * handed over. The record itself stands as it was signed.
 */
final readonly class VisitBook
{
    private const BY_RULE = 'rule';

    private const BY_JUDGE = 'judge';

    private const BY_PERSON = 'person';

    private const LATEST_DAYS = 400;

    public function __construct(private Job $job)
    {
    }

    /** What was booked at the end of the job, once it is signed. */
    public function bookWhatWasAgreed(JobState $state): void
    {
        $booked = FollowUpBooked::in($state);
        if ($booked !== null && $this->all()->isEmpty()) {
            $this->add(now()->addDays($booked->days), self::BY_RULE, $booked->watch);
        }
    }

    /** What was still to be looked at after earlier jobs on this vehicle is this one’s from its signature on. */
    public function takeOverFromBefore(Person $by): void
    {
        $before = Visit::query()
            ->due()
            ->whereHas(
                'job',
                fn (Builder $job) => $job->where('vehicle_id', $this->job->vehicle_id)->whereKeyNot($this->job->id),
            )
            ->with('job')
            ->get();
        foreach ($before as $visit) {
            (new self($visit->job))->skip($visit, "Taken over by {$this->job->number()}.", $by);
        }
    }

    /** @throws InvalidField where that day cannot be */
    public function ask(string $day, string $watch): Visit
    {
        $this->assertFollowed();
        $due
            = preg_match('/^\d{4}-\d{2}-\d{2}$/', $day) === 1 && strtotime($day) !== false ? Carbon::parse($day) : null;
        if ($due === null || $due->lt(now()->startOfDay()) || $due->gt(now()->addDays(self::LATEST_DAYS))) {
            throw new InvalidField('due_on', 'Choose a day from today on, within a year.');
        }

        return OneWriter::run(fn (): Visit => $this->add($due, self::BY_PERSON, $watch));
    }

    /** A look that nobody planned: today's, or that which the same press has written already. */
    public function unplanned(string $key): Visit
    {
        return ($key === '' ? null : Visit::query()->where('job_id', $this->job->id)->where('key', $key)->first())
            ?? new Visit([
                'job_id' => $this->job->id,
                'due_on' => now()->format('Y-m-d'),
                'asked_by' => self::BY_PERSON,
                'watch' => '',
                'created_at' => now(),
            ]);
    }

    /**
     * Signs a visit, and books the next where the level does not stand still yet. The same press twice counts once.
     *
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField|InvalidFields
     */
    public function sign(Visit $visit, array $raw, Person $person, string $key, ?Photo $photo = null): void
    {
        OneWriter::run(function () use ($visit, $raw, $person, $key, $photo): void {
            $visit->exists && $visit->refresh();
            if ($key !== '' && $visit->key === $key) {
                $photo?->discard();

                return;
            }
            if (! $visit->isDue()) {
                throw new InvalidField(
                    'visit',
                    "{$visit->doer?->name} has signed this visit already. What you saw besides is a visit of its "
                        .'own: ask for one.',
                );
            }
            $this->assertFollowed();
            $state = $this->job->state();
            $filled = VisitForm::read($state->circuit, Plan::of($state)->rules()->vessels, $raw, $person->units);
            $this->job->vehicle->assertRunsOn(self::usage($filled->values->toArray()), $person->units);
            $visit
                ->fill([
                    'done_at' => now(),
                    'done_by' => $person->id,
                    'key' => $key === '' ? null : $key,
                    'values' => $filled->values->toArray(),
                    'typed' => $filled->typed,
                    'photo_id' => $photo?->id,
                ])
                ->save();
            $photo === null || Photo::query()->create([...$photo->getAttributes(), 'of_visit' => true]);
            $this->job->vehicle->haveRun(self::usage($filled->values->toArray()));
            $this->follow($state);
        });
    }

    /**
     * Puts another look in the place of one that was wrong: that one stays as it was signed, struck out. What was seen
     * is still of its own time. The same press twice counts once.
     *
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField|InvalidFields
     */
    public function correct(Visit $visit, array $raw, string $because, Person $person, string $key): void
    {
        $this->strike($visit, $because, $person, $key, function (JobState $state) use (
            $visit,
            $raw,
            $person,
            $key,
        ): void {
            $filled = VisitForm::read($state->circuit, Plan::of($state)->rules()->vessels, $raw, $person->units);
            Visit::query()->create([
                ...$visit->only(['job_id', 'due_on', 'asked_by', 'watch', 'done_at', 'photo_id']),
                'done_by' => $person->id,
                'key' => $key === '' ? null : $key,
                'values' => $filled->values->toArray(),
                'typed' => $filled->typed,
                'instead_of' => $visit->id,
                'created_at' => now(),
            ]);
        });
    }

    /** @throws InvalidField */
    public function takeBack(Visit $visit, string $because, Person $person): void
    {
        $this->strike($visit, $because, $person, '', function () use ($visit): void {
            if (! $this->all()->contains(fn (Visit $other) => $other->isDue())) {
                $this->add(now(), $visit->asked_by, $visit->watch);
            }
        });
    }

    /** @param  \Closure(JobState): void  $then */
    private function strike(Visit $visit, string $because, Person $person, string $key, \Closure $then): void
    {
        OneWriter::run(function () use ($visit, $because, $person, $key, $then): void {
            if ($key !== '' && Visit::query()->where('job_id', $this->job->id)->where('key', $key)->exists()) {
                return;
            }
            $this->assertFollowed();
            if ($visit->refresh()->isDue() || $visit->values === null || $visit->isStruck()) {
                throw new InvalidField('visit', 'Only a visit that counts is corrected. Look at the list once more.');
            }
            if (trim($because) === '') {
                throw new InvalidField('because', 'Say what was wrong with it: both stand under the record.');
            }
            $state = $this->job->state();
            $wasRed = $this->says($state)?->code->isRed() === true;
            $visit->update([
                'struck_at' => now(),
                'struck_by' => $person->id,
                'struck_because' => mb_substr(trim($because), 0, 300),
            ]);
            $then($state);
            // With what stands in its place, or stood before it.
            $this->job->vehicle->putRight(self::usage($visit->values), $this->readBefore($visit));
            if ($wasRed && $this->says($state)?->code->isRed() !== true && ! $person->may(Right::ClearDaysAfter)) {
                throw new InvalidField('visit', Right::ClearDaysAfter->refusal());
            }
            Trail::note($person, Subject::Visit, $this->job->number(), [
                new Change('visit of '.$visit->done_at?->format('Y-m-d'), '', 'struck out: '.trim($because)),
            ]);
            $this->follow($state);
        });
    }

    /** @throws InvalidField without a reason */
    public function skip(Visit $visit, string $because, Person $person): void
    {
        if (trim($because) === '') {
            throw new InvalidField('because', 'Say why nobody looks: it stands under the record.');
        }
        OneWriter::run(function () use ($visit, $because, $person): void {
            if ($visit->refresh()->isDue()) {
                $visit->update([
                    'done_at' => now(),
                    'done_by' => $person->id,
                    'skipped_because' => mb_substr(trim($because), 0, 300),
                ]);
                Trail::note($person, Subject::Visit, $this->job->number(), [
                    new Change('visit of '.$visit->due_on->format('Y-m-d'), '', 'skipped: '.trim($because)),
                ]);
            }
        });
    }

    public function handOver(Visit $visit, ?Person $to): void
    {
        OneWriter::run(fn () => $visit->update(['held_by' => $to?->id]));
    }

    /** What they all say; null before the first. */
    public function says(?JobState $state = null): ?DaysAfter
    {
        $state ??= $this->job->state();

        return DaysAfter::of($state, $this->seen(Plan::of($state)->rules()->vessels));
    }

    /** @return list<Seen> those that count, in order of time */
    public function seen(Vessels $vessels): array
    {
        return array_values(array_filter($this->all()->map(fn (Visit $visit) => $visit->seen($vessels))->all()));
    }

    /** The freeze point as it was read last, °C; null where nobody did. */
    public function freezeC(Vessels $vessels): ?float
    {
        $read = array_filter($this->seen($vessels), fn (Seen $visit) => $visit->freezeC !== null);

        return $read === [] ? null : end($read)->freezeC;
    }

    /** @return Collection<int, Visit> in order of time, those due last */
    public function all(): Collection
    {
        if ($this->job->document !== null) {
            return ForeignVisits::of($this->job->document);
        }

        return Visit::query()
            ->with(['holder:id,name', 'doer:id,name', 'striker:id,name'])
            ->where('job_id', $this->job->id)
            ->orderByRaw('case when done_at is null then 1 else 0 end')
            ->orderBy('done_at')
            ->orderBy('due_on')
            ->orderBy('id')
            ->get();
    }

    private function follow(JobState $state): void
    {
        $says = $this->says($state);
        $due = $this->all()->contains(fn (Visit $visit) => $visit->isDue());
        $closed = $says?->code === DaysAfterCode::Closed && ! $due;
        $this->job->update([
            'followed_at' => $this->job->followed_at ?? now(), 'closed_at' => $closed ? now() : null,
            'days_after' => $says?->code->value,
            'left_behind' => LeftBehind::signed($state, $this->job->number(), $says->takenMl ?? 0.0)?->toArray(),
        ]);
        Facts::forget($this->job->id);
        if (! $due && $says !== null && ! $closed && ! $says->code->isRed()) {
            $this->add(now()->addDays(max(1, (int) Plan::of($state)->rules()->followUpDays)), self::BY_JUDGE, '');
        }
    }

    private function add(Carbon $due, string $by, string $watch): Visit
    {
        return Visit::query()->create([
            'job_id' => $this->job->id,
            'due_on' => $due->format('Y-m-d'),
            'asked_by' => $by,
            'watch' => mb_substr(trim($watch), 0, 500),
            'created_at' => now(),
        ]);
    }

    /** @param  array<mixed>  $values  as they are stored */
    private static function usage(array $values): Usage
    {
        $number = fn (string $name): ?float => is_numeric($values[$name] ?? null) ? (float) $values[$name] : null;
        [$mm, $seconds] = [$number(Seen::ODOMETER), $number(Seen::HOURS)];

        return new Usage(
            odometerKm: $mm === null ? null : round($mm / 1.0e6, 3),
            hours: $seconds === null ? null : round($seconds / 3600.0, 3),
        );
    }

    /** What was read last before such a visit: at another one, or as the job was planned. */
    private function readBefore(Visit $visit): Usage
    {
        $planned = Plan::of($this->job->state())->choices->usage;
        [$km, $hours] = [$planned->odometerKm, $planned->hours];
        foreach ($this->all() as $other) {
            $counts = $other->values !== null && ! $other->isStruck() && ! $other->isDue();
            $read = $counts && $other->id !== $visit->id ? self::usage($other->values) : new Usage;
            [$km, $hours] = [$read->odometerKm ?? $km, $read->hours ?? $hours];
        }

        return new Usage(odometerKm: $km, hours: $hours);
    }

    /** @throws InvalidField of a job that is not signed */
    private function assertFollowed(): void
    {
        if ($this->job->document !== null) {
            throw new InvalidField('visit', 'This job came from another shop: its days after are looked at there.');
        }
        if (! in_array($this->job->refresh()->life(), [Life::Signed, Life::Followed, Life::Closed], true)) {
            throw new InvalidField(
                'visit',
                'This job is not signed: what is seen on it now belongs into its own steps.',
            );
        }
    }
}
