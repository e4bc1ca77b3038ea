<?php

declare(strict_types=1);

namespace App\Floor;

use App\Models\Job;
use App\Models\Vehicle;
use App\Shop\Readiness;
use Aqbel\Core\Quantity\UnitSystem;

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
        // The plan stays where it is: the summary says all that the floor shows.
        $open = Job::query()->open()->select([
            'id',
            'vehicle_id',
            'kind',
            'summary',
            'held_by',
            'planned_by',
            'rests_until',
        ])
            ->with(['vehicle:id,plate,name', 'planner:id,name', 'holder:id,name']);
        $found = $open->whereNotNull('summary')->orderByDesc('id')->limit(self::MOST)->get()->keyBy('id');
        $summaries = array_filter($found->map(fn (Job $job) => $job->summary)->all());
        $words = FloorWords::ofAll($summaries, $units);
        foreach ($found as $job) {
            if (isset($summaries[$job->id])) {
                $jobs[] = self::job($job, $summaries[$job->id], $words[$job->id], $now);
            }
        }
        usort($jobs, fn (FloorJob $a, FloorJob $b) => $a->waitsUntil() <=> $b->waitsUntil());
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

    private static function job(Job $job, Summary $summary, FloorWords $words, int $now): FloorJob
    {
        return new FloorJob(
            $job->id,
            $job->vehicle->plate,
            $job->vehicle->name,
            $job->kind->label(),
            $summary,
            $words,
            $job->holder->name ?? $job->planner->name,
            $job->rests_until?->getTimestamp(),
            $now,
        );
    }
}
