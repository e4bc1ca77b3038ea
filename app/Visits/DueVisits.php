<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Person;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** Visits that somebody is to make: those of one person and of nobody, and those of others. */
final readonly class DueVisits
{
    /** On the floor stands what is due now or tomorrow. */
    private const AHEAD_DAYS = 1;

    private const MOST = 200;

    /**
     * @param  Collection<int, Visit>  $mine  the longest due first
     * @param  Collection<int, Visit>  $others
     * @param  Collection<int, Visit>  $inTheShop  of vehicles that are being worked on: looked at there
     */
    private function __construct(public Collection $mine, public Collection $others, public Collection $inTheShop)
    {
    }

    public static function all(Person $reader): self
    {
        return self::of($reader, self::query());
    }

    /** What the floor shows of them. */
    public static function now(Person $reader): self
    {
        return self::of(
            $reader,
            self::query()->where(
                'due_on',
                '<',
                now()
                    ->addDays(self::AHEAD_DAYS + 1)
                    ->format('Y-m-d'),
            ),
        );
    }

    public function isEmpty(): bool
    {
        return $this->mine->isEmpty() && $this->others->isEmpty() && $this->inTheShop->isEmpty();
    }

    public function count(): int
    {
        return $this->mine->count() + $this->others->count();
    }

    public function overdue(): int
    {
        return $this->mine->concat($this->others)->filter(fn (Visit $visit) => $visit->isOverdue())->count();
    }

    /** @return Builder<Visit> */
    private static function query(): Builder
    {
        return Visit::query()
            ->due()
            ->with([
                'job:id,vehicle_id,signed_at',
                'job.vehicle:id,plate,name',
                'job.vehicle.inHand:id,vehicle_id',
                'holder:id,name',
            ])
            ->orderBy('due_on')
            ->orderBy('id')
            ->limit(self::MOST);
    }

    /** @param  Builder<Visit>  $query */
    private static function of(Person $reader, Builder $query): self
    {
        $isMine = fn (Visit $visit): bool => $visit->holder === null || $visit->holder->is($reader);
        $isInTheShop = fn (Visit $visit): bool => $visit->job->vehicle->inHand !== null;
        $all = $query->get();
        $due = $all->reject($isInTheShop);

        return new self(
            $due->filter($isMine)->values(),
            $due->reject($isMine)->values(),
            $all->filter($isInTheShop)->values(),
        );
    }
}
