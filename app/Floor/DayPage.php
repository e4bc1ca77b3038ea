<?php

declare(strict_types=1);

namespace App\Floor;

use App\Models\Job;
use App\Models\Person;
use App\Models\Visit;
use Aqbel\Core\Day\DayPlan;
use Aqbel\Core\Day\Shared;
use Aqbel\Core\Day\Slot;
use Aqbel\Core\Day\Task;
use Aqbel\Core\Day\Work;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** The day of the shop: open jobs and due visits over people and what is shared, as the floor stands now. */
final readonly class DayPage
{
    public const MOST_JOBS = 24;

    private const VISIT_MIN = 10.0;

    /** Orders tried to say what moving one job would cost. */
    private const TRIES_FOR_A_MOVE = 12;

    private const HOURS = 10;

    private const KEPT_S = 3600;

    public DayPlan $plan;

    /** @var array<array-key, string> plate by job or visit */
    public array $plates;

    /** @var array<array-key, array<string, string>> what the first step of each task is called, by job and step */
    private array $titles;

    /** @var list<Work> */
    private array $work;

    /** @var non-empty-list<string> */
    private array $people;

    /** @var list<string> jobs that somebody put first, in order; before them those with an engine to shut off */
    private array $first;

    /** @var list<string> */
    private array $danger;

    public function __construct(private StepCatalogue $kinds, private int $now)
    {
        $people = array_values(
            Person::query()
                ->whereNull('disabled_at')
                ->orderBy('id')
                ->pluck('name')
                ->map(fn (mixed $name): string => (string) $name)
                ->all(),
        );
        $this->people = $people === [] ? [''] : $people;
        [$work, $plates, $titles, $first] = [[], [], [], []];
        $jobs = self::jobs();
        $last = DB::table('journal_lines')
            ->whereIn('job_id', $jobs->pluck('id'))
            ->groupBy('job_id')
            ->selectRaw('job_id, max(seq) as seq')
            ->pluck('seq', 'job_id');
        foreach ($jobs as $job) {
            [$tasks, $called] = Cache::remember(
                "day.{$job->id}.".($last[$job->id] ?? 0),
                self::KEPT_S,
                fn (): array => $this->tasks(Job::query()->with('circuit')->whereKey($job->id)->firstOrFail()->state()),
            );
            $id = (string) $job->id;
            $clock = max((int) $job->waits_until, (int) $job->rests_until?->getTimestamp());
            // Whoever is nearest goes to a danger, whatever clock runs.
            $work[] = $job->danger_since === null
                ? new Work($id, $tasks, max(0.0, ceil(($clock - $now) / 60.0)), $job->holder?->name)
                : new Work($id, $tasks);
            [$plates[$id], $titles[$id]] = [$job->vehicle->plate, $called];
            if ($job->danger_since !== null) {
                $first[$id] = -1; // an engine is to be shut off: before everything
            } elseif ($job->day_rank !== null) {
                $first[$id] = $job->day_rank;
            }
        }
        foreach (
            Visit::query()
                ->toMake()
                ->where('due_on', '<', now()->addDay()->format('Y-m-d'))
                ->with(['job.vehicle', 'holder'])
                ->limit(self::MOST_JOBS)
                ->get() as $visit
        ) {
            $id = "visit-{$visit->id}";
            $work[] = new Work($id, [new Task('visit', self::VISIT_MIN)], 0.0, $visit->holder?->name);
            [$plates[$id], $titles[$id]] = [$visit->job->vehicle->plate, ['visit' => 'Cold level, visit']];
        }
        asort($first);
        $this->danger = array_map(strval(...), array_keys($first, -1, true));
        [$this->work, $this->plates, $this->titles, $this->first] = [
            $work,
            $plates,
            $titles,
            array_map(strval(...), array_keys($first)),
        ];
        $this->plan = $this->planned($this->first);
    }

    public function isEmpty(): bool
    {
        return $this->work === [];
    }

    /** @return list<string> */
    public function people(): array
    {
        return $this->people;
    }

    /** @return list<Slot> of one person, in order, of the hours ahead */
    public function of(string $person): array
    {
        return array_values(
            array_filter(
                $this->plan->slots,
                fn (Slot $slot) => $slot->person === $person && $slot->fromMin < self::HOURS * 60.0,
            ),
        );
    }

    /** @return array<array-key, list<DaySpan>> hands and clocks by job, as they are planned */
    public function spans(): array
    {
        $spans = [];
        foreach ($this->plan->slots as $slot) {
            $spans[$slot->job][] = new DaySpan($slot->fromMin, $slot->toMin, mb_substr($slot->person, 0, 1));
            $slot->task->waitMin > 0.0 && $spans[$slot->job][] = new DaySpan($slot->toMin, $slot->untilMin(), '');
        }

        return $spans;
    }

    public function title(Slot $slot): string
    {
        return $this->titles[$slot->job][$slot->task->step] ?? $slot->task->step;
    }

    public function at(float $minutes): string
    {
        $at = $this->now + (int) round($minutes * 60.0);

        return date(date('Y-m-d', $at) === date('Y-m-d', $this->now) ? 'H:i' : 'm-d H:i', $at);
    }

    public function address(Slot $slot): string
    {
        return str_starts_with($slot->job, 'visit-') ? '/visits' : "/jobs/{$slot->job}";
    }

    /** @return list<DayRow> those somebody gave a place, in their order; then as they are done */
    public function rows(): array
    {
        $byHand = array_values(array_filter($this->first, fn (string $job) => ! in_array($job, $this->danger, true)));
        $others = array_values(array_diff(array_keys($this->plan->done), $this->first));
        usort($others, fn (int|string $a, int|string $b) => $this->plan->done[$a] <=> $this->plan->done[$b]);
        $rows = [];
        foreach ([...$this->first, ...array_map(strval(...), $others)] as $job) {
            $place = ($at = array_search($job, $byHand, true)) === false ? null : $at + 1;
            $moved = $place === null ? [...$this->first, $job] : array_values(array_diff($this->first, [$job]));
            $costs = $this->planned($moved, self::TRIES_FOR_A_MOVE)->meanMin() - $this->plan->meanMin();
            $rows[] = new DayRow(
                $job,
                $this->plates[$job],
                $this->at($this->plan->done[$job] ?? 0.0),
                in_array($job, $this->danger, true),
                $place,
                count($byHand),
                abs($costs) < 1.0
                    ? 'costs nothing'
                    : ($costs > 0.0
                        ? 'costs '.round($costs).' min each'
                        : 'saves '.round(-$costs).' min each'),
            );
        }

        return $rows;
    }

    /**
     * The same work in the same minute is the same day.
     *
     * @param  list<string>  $first
     */
    private function planned(array $first, ?int $tries = null): DayPlan
    {
        $of = [$this->work, $this->people, $first, ...$tries === null ? [] : [$tries]];

        return Cache::remember('day.'.sha1(serialize($of)), self::KEPT_S, fn (): DayPlan => DayPlan::of(...$of));
    }

    /** @return Collection<int, Job> */
    private static function jobs(): Collection
    {
        return Job::query()
            ->open()
            ->with(['vehicle:id,plate', 'holder:id,name'])
            ->select(['id', 'vehicle_id', 'held_by', 'waits_until', 'rests_until', 'danger_since', 'day_rank'])
            ->orderByRaw('case when danger_since is null then 1 else 0 end')
            ->orderBy('id')
            ->limit(self::MOST_JOBS)
            ->get();
    }

    /**
     * @return array{list<Task>, array<string, string>} steps run together
     * until somebody may go away, or something shared is let go
     */
    private function tasks(JobState $state): array
    {
        $choices = Plan::of($state)->choices;
        [$tasks, $titles] = [[], []];
        [$first, $hands, $with] = ['', 0.0, null];
        $inHand = $state->stepInHand();
        $running = $this->clock($state, $inHand);
        foreach ($state->steps as $id => $step) {
            if (isset($state->closed[$id])) {
                continue;
            }
            $minutes = $this->kinds->labour($step, $choices);
            // What runs already is waited for before the first of it, and not once more: at its own
            // step, or at the one that asks whether it is over.
            $hasBegun = $running !== null
                && ($step->id === $inHand?->id
                    || ($step->kind !== $inHand?->kind && $this->clock($state, $step)?->until === $running->until));
            $wait = $hasBegun ? 0.0 : $minutes->wait;
            $takes = Shared::of($step->kind, $this->kinds->does($step, Does::RunsEngine));
            if ($first !== '' && $takes !== $with) {
                $tasks[] = new Task($first, $hands, 0.0, $with);
                [$first, $hands] = ['', 0.0];
            }
            if ($first === '') {
                [$first, $with] = [$id, $takes];
                $titles[$id] = $this->kinds->of($step)->title($state->at($step, $this->now));
            }
            $hands += $minutes->hands;
            if ($wait > 0.0) {
                $tasks[] = new Task($first, $hands, $wait, $with);
                [$first, $hands] = ['', 0.0];
            }
        }

        return [$first === '' ? $tasks : [...$tasks, new Task($first, $hands, 0.0, $with)], $titles];
    }

    /** That runs at a step; null where none does. */
    private function clock(JobState $state, ?Step $step): ?Clock
    {
        return $step === null ? null : $this->kinds->of($step)->clock($state->at($step, $this->now));
    }
}
