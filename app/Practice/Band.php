<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Practice;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Quantity\UnitSystem;

/**
 * Above every page of a job that somebody practises on: what it is,
 * how its clock runs, what can be seen of the vehicle.
 */
final readonly class Band
{
    private const SPEEDS = [1, 5, 20];

    public function __construct(public Practice $practice)
    {
    }

    public function title(): string
    {
        return $this->practice->exercise()->title;
    }

    public function brief(): string
    {
        return $this->practice->exercise()->brief;
    }

    /** @return array<int, bool> whether its clock runs so fast, by speed */
    public function speeds(): array
    {
        return array_combine(
            self::SPEEDS,
            array_map(fn (int $speed) => $speed === $this->practice->speed, self::SPEEDS),
        );
    }

    /** When the clock of the step in hand is over, Unix seconds; null where none runs. */
    public function waitsUntil(): ?int
    {
        $until = $this->practice->job->waits_until;

        return $until !== null && $until > now()->getTimestamp() ? $until : null;
    }

    /**
     * @param  list<Step>  $steps  that are asked for together
     * @return list<array{string, list<string>}> what eyes and hands tell of them, by what it is entered under
     */
    public function seen(array $steps, UnitSystem $units): array
    {
        return app(Seen::class)->at($this->practice, $steps, $units);
    }

    public function byGauge(): bool
    {
        return app(Seen::class)->byGauge($this->practice);
    }

    /** Whether the step it is about is done. */
    public function isOver(): bool
    {
        $state = $this->practice->job->state();

        return $this->practice->ended_at !== null
            || $this->practice->job->stands()
            || isset($state->closed[$this->practice->exercise()->until]);
    }
}
