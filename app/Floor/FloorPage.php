<?php

declare(strict_types=1);

namespace App\Floor;

use App\Models\Job;
use Aqbel\Core\Quantity\UnitSystem;

/** All open jobs by when hands are needed next, and the hours ahead as lanes. */
final readonly class FloorPage
{
    private const MOST = 200;

    /**
     * @param  list<FloorJob>  $waiting  on a clock, the one that lets go last first
     * @param  list<FloorJob>  $hands  waiting for hands
     */
    private function __construct(public int $now, public array $waiting, public array $hands, public LaneChart $lanes)
    {
    }

    public static function read(UnitSystem $units): self
    {
        $now = now()->getTimestamp();
        $jobs = Job::query()->open()->with(['vehicle', 'circuit'])->orderByDesc('id')->limit(self::MOST)->get()
            ->filter(fn (Job $job) => $job->summary !== null)
            ->map(fn (Job $job) => self::job($job, $job->summary, $units, $now))
            ->sortBy(fn (FloorJob $job) => $job->summary->waitsUntil())->values();
        [$waiting, $hands] = $jobs->partition(fn (FloorJob $job) => $job->secondsLeft() > 0);

        return new self($now, array_values($waiting->reverse()->all()), array_values($hands->all()), new LaneChart([...$hands->all(), ...$waiting->all()], $now));
    }

    public function isEmpty(): bool
    {
        return $this->waiting === [] && $this->hands === [];
    }

    private static function job(Job $job, Summary $summary, UnitSystem $units, int $now): FloorJob
    {
        return new FloorJob($job->id, $job->vehicle->plate, $job->vehicle->name, $job->kind->label(), $summary, FloorWords::of($job, $summary, $units), $now);
    }
}
