<?php

declare(strict_types=1);

namespace App\Floor;

use App\Models\Job;
use App\Models\Vehicle;
use App\Shop\Readiness;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** All open jobs by when hands are needed next, and the hours ahead as lanes. */
final readonly class FloorPage
{
    private const MOST = 200;

    /**
     * @param  list<FloorJob>  $waiting  on a clock, the one that lets go last first
     * @param  list<FloorJob>  $hands  waiting for hands
     * @param  int  $more  open jobs, older ones, that are too many to show
     */
    private function __construct(
        public int $now,
        public array $waiting,
        public array $hands,
        public LaneChart $lanes,
        public int $more,
    ) {
    }

    public static function read(UnitSystem $units): self
    {
        $now = now()->getTimestamp();
        $jobs = [];
        // Read without models, and the plan stays where it is: the summary says all that the floor shows.
        $found = Job::query()->open()->whereNotNull('summary')
            ->join('vehicles', 'vehicles.id', '=', 'jobs.vehicle_id')
            ->join('people', 'people.id', '=', DB::raw('coalesce(held_by, planned_by)'))
            ->orderByDesc('jobs.id')->limit(self::MOST)->toBase()
            ->get(['jobs.id', 'plate', 'vehicles.name as vehicle', 'kind', 'summary', 'people.name as person', 'rests_until', 'danger_since']);
        $summaries = array_filter($found->mapWithKeys(fn (object $job) => [(int) $job->id => Summary::read($job->summary)])->all());
        $words = FloorWords::ofAll($summaries, $units);
        foreach ($found as $job) {
            if (isset($summaries[$job->id])) {
                $jobs[] = new FloorJob(
                    (int) $job->id, $job->plate, $job->vehicle, JobKind::from($job->kind)->label(), $summaries[$job->id], $words[$job->id], $job->person,
                    $job->rests_until === null ? null : Carbon::parse($job->rests_until)->getTimestamp(), $now, $job->danger_since !== null,
                );
            }
        }
        usort($jobs, fn (FloorJob $a, FloorJob $b) => [! $a->danger, $a->waitsUntil()] <=> [! $b->danger, $b->waitsUntil()]);
        $hands = array_values(array_filter($jobs, fn (FloorJob $job) => $job->secondsLeft() <= 0));
        $waiting = array_values(array_filter($jobs, fn (FloorJob $job) => $job->secondsLeft() > 0));

        $more = count($found) < self::MOST ? 0 : Job::query()->open()->count() - count($found);

        return new self($now, array_reverse($waiting), $hands, new LaneChart([...$hands, ...$waiting], $now), $more);
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
        return $this->waiting === [] && $this->hands === [];
    }
}
