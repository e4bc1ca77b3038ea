<?php

declare(strict_types=1);

namespace App\Floor;

use App\Practice\Ground;

/**
 * A vehicle whose engine is to be shut off now, as every page of the
 * shop shows it, also those that somebody practises on.
 */
final readonly class Danger
{
    private function __construct(
        public int $job,
        public string $plate,
        public string $vehicle,
        public string $place,
        public int $since,
    ) {
    }

    /** @return list<self> the oldest first */
    public static function now(): array
    {
        return array_values(
            Ground::shop()
                ->table('jobs')
                ->join('vehicles', 'vehicles.id', '=', 'jobs.vehicle_id')
                ->whereNotNull('danger_since')
                ->whereNull('signed_at')
                ->whereNull('abandoned_at')
                ->orderBy('danger_since')
                ->get(['jobs.id', 'plate', 'vehicles.name', 'danger_place', 'danger_since'])
                ->map(
                    fn (object $one) => new self(
                        (int) $one->id,
                        $one->plate,
                        $one->name,
                        (string) $one->danger_place,
                        (int) $one->danger_since,
                    ),
                )
                ->all(),
        );
    }
}
