<?php

declare(strict_types=1);

namespace App\Floor;

use App\Models\Job;
use App\Models\Vehicle;
use App\Shop\Readiness;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Contracts\Pagination\Paginator;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** All open jobs by when hands are needed next, and the hours ahead as lanes. */
final readonly class FloorPage
{
    private const ON_A_PAGE = 60;

    private const KEPT_S = 120;

    /**
     * @param  list<FloorJob>  $waiting  of this page, on a clock, the one that lets go last first
     * @param  list<FloorJob>  $hands  of this page, waiting for hands
     * @param  int  $onClock  of all open jobs
     * @param  Paginator<int, \stdClass>  $pages
     */
    private function __construct(
        public int $now,
        public array $waiting,
        public array $hands,
        public LaneChart $lanes,
        public int $all,
        public int $onClock,
        public Paginator $pages,
    ) {
    }

    public static function read(UnitSystem $units): self
    {
        $now = now()->getTimestamp();
        [$all, $onClock] = self::counted($now);
        // Read without models, and the plan stays where it is: the summary says all that the floor shows.
        $found = self::open()
            ->join('vehicles', 'vehicles.id', '=', 'jobs.vehicle_id')
            ->join('people', 'people.id', '=', DB::raw('coalesce(held_by, planned_by)'))
            ->orderByRaw('case when danger_since is null then 1 else 0 end')
            ->orderByRaw('case when rests_until > ? then 1 else 0 end', [now()->format('Y-m-d H:i:s')])
            ->orderByRaw('case when coalesce(waits_until, 0) <= ? then 0 else waits_until end', [$now])
            ->orderByDesc('jobs.id')
            ->simplePaginate(self::ON_A_PAGE, [
                'jobs.id',
                'plate',
                'vehicles.name as vehicle',
                'kind',
                'summary',
                'people.name as person',
                'rests_until',
                'danger_since',
            ]);
        $jobs = self::jobs($found->items(), $units, $now);
        usort(
            $jobs,
            fn (FloorJob $a, FloorJob $b) => [! $a->danger, $a->waitsUntil()] <=> [! $b->danger, $b->waitsUntil()],
        );
        $hands = array_values(array_filter($jobs, fn (FloorJob $job) => $job->secondsLeft() <= 0));
        $waiting = array_values(array_filter($jobs, fn (FloorJob $job) => $job->secondsLeft() > 0));

        return new self(
            $now,
            array_reverse($waiting),
            $hands,
            new LaneChart([...$hands, ...$waiting], $now, self::planned($now)),
            $all,
            $onClock,
            $found,
        );
    }

    /**
     * @return array<array-key, list<DaySpan>> the day as it is planned,
     * worked out once for what has happened until this minute
     */
    private static function planned(int $now): array
    {
        $tick = app(TickSeen::class)->of(Tick::SHOP);

        return $tick === ''
            ? []
            : Cache::remember(
                'floor.day.'.sha1($tick.'|'.intdiv($now, 60)),
                self::KEPT_S,
                fn (): array => (new DayPage(app(StepCatalogue::class), $now))->spans(),
            );
    }

    private static function open(): Builder
    {
        return Job::query()->open()->whereNotNull('summary')->toBase();
    }

    /** @return array{int, int} all open jobs, and how many of them are on a clock */
    private static function counted(int $now): array
    {
        $counted = self::open()
            ->selectRaw(
                'count(*) as jobs, sum(case when waits_until > ? or rests_until > ? then 1 else 0 end) as waiting',
                [$now, now()->format('Y-m-d H:i:s')],
            )
            ->first();

        return [(int) ($counted->jobs ?? 0), (int) ($counted->waiting ?? 0)];
    }

    /**
     * @param  array<mixed>  $found
     * @return list<FloorJob>
     */
    private static function jobs(array $found, UnitSystem $units, int $now): array
    {
        /** @var array<\stdClass> $found */
        $summaries = [];
        foreach ($found as $job) {
            $summaries[(int) $job->id] = Summary::read($job->summary);
        }
        $summaries = array_filter($summaries);
        $words = FloorWords::ofAll($summaries, $units);
        $jobs = [];
        foreach ($found as $job) {
            if (isset($summaries[$job->id])) {
                $jobs[] = new FloorJob(
                    (int) $job->id,
                    $job->plate,
                    $job->vehicle,
                    JobKind::from($job->kind)->label(),
                    $summaries[$job->id],
                    $words[$job->id],
                    $job->person,
                    $job->rests_until === null ? null : Carbon::parse($job->rests_until)->getTimestamp(),
                    $now,
                    $job->danger_since !== null,
                );
            }
        }

        return $jobs;
    }

    /** Nothing to plan for yet; asked only where nothing is open. */
    public function hasNoVehicle(): bool
    {
        return Vehicle::query()->doesntExist();
    }

    /** @return list<array{string, string, bool}> what a new shop has yet to bring in */
    public function readiness(): array
    {
        return Readiness::list();
    }

    public function isEmpty(): bool
    {
        return $this->all === 0;
    }
}
