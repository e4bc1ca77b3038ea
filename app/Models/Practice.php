<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Practice\Exercise;
use Aqbel\Core\Practice\Exercises;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Somebody practises: which exercise, on which job of the practice ground, and how its clock runs.
 *
 * @property int $id
 * @property int $job_id
 * @property int $person_id
 * @property string $exercise
 * @property int $lines_before  that stood in the journal when it was begun
 * @property int $begun_at by its own clock, Unix seconds
 * @property int $clock_at its own time when its clock was set last, Unix seconds
 * @property int $clock_set_ms and the shop’s, Unix ms
 * @property int $speed of its clock
 * @property ?int $ended_at by its own clock, Unix seconds
 * @property array<string, mixed>|null $came_to
 * @property Carbon $created_at
 * @property Job $job
 * @property Person $person
 */
class Practice extends Row
{
    public const UPDATED_AT = null;

    protected $table = 'practices';

    protected $casts = ['came_to' => 'array'];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public function exercise(): Exercise
    {
        return Exercises::of($this->exercise) ?? throw new \LogicException("There is no exercise “{$this->exercise}”.");
    }

    /** Its own time, when the shop’s is what it is now. */
    public function now(): Carbon
    {
        $passedMs = max(0, Carbon::now()->getTimestampMs() - $this->clock_set_ms);

        return Carbon::createFromTimestampMs(1000 * $this->clock_at + $this->speed * $passedMs);
    }

    /** From now on, by its own clock, it is so late there, and that clock runs so fast. */
    public function setClock(int $at, int $speed): void
    {
        $shopMs = $this->clock_set_ms
            + intdiv(Carbon::now()->getTimestampMs() - 1000 * $this->clock_at, max(1, $this->speed));
        $this->update(['clock_at' => $at, 'clock_set_ms' => $shopMs, 'speed' => $speed]);
    }
}
