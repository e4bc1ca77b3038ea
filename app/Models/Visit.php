<?php

declare(strict_types=1);

namespace App\Models;

use App\Practice\FoundOnItsGround;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Values;
use Aqbel\Core\Visits\Visit as Seen;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A look at a vehicle after the record of its job was signed: due, done and signed by itself, or skipped with a reason.
 * One that was wrong stays as it was signed, struck out with a reason.
 *
 * @property int $id
 * @property int $job_id
 * @property Carbon $due_on
 * @property string $asked_by rule, judge or person
 * @property string $watch what to look for
 * @property Carbon|null $done_at
 * @property string $skipped_because
 * @property array<string, float|int|string|bool|null>|null $values codes and numbers of the core's units, by field
 * @property array<string, string>|null $typed
 * @property ?string $key of the press that signed it
 * @property ?string $photo_id
 * @property Carbon|null $struck_at since when it does not count any more
 * @property string $struck_because
 * @property ?int $instead_of the one that it corrects
 * @property Carbon $created_at
 * @property Job $job
 * @property Person|null $holder in whose hands it is; anybody's where nobody is named
 * @property Person|null $doer who signed it, or skipped it
 * @property Person|null $striker
 */
class Visit extends Row
{
    use FoundOnItsGround;

    public const UPDATED_AT = null;

    protected $table = 'visits';

    protected $casts = [
        'due_on' => 'date',
        'done_at' => 'datetime',
        'struck_at' => 'datetime',
        'values' => 'array',
        'typed' => 'array',
    ];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function holder(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'held_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function doer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'done_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function striker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'struck_by');
    }

    /** @param  Builder<Visit>  $query */
    public function scopeDue(Builder $query): void
    {
        $query->whereNull('done_at');
    }

    /**
     * Of those due what somebody can look at: not at a vehicle that is being worked on.
     *
     * @param  Builder<Visit>  $query
     */
    public function scopeToMake(Builder $query): void
    {
        $query->whereNull('done_at')->whereDoesntHave('job.vehicle.inHand');
    }

    public function isDue(): bool
    {
        return $this->done_at === null;
    }

    public function isOverdue(): bool
    {
        return $this->isDue() && $this->due_on->endOfDay()->isPast();
    }

    public function wasSkipped(): bool
    {
        return $this->skipped_because !== '';
    }

    public function isStruck(): bool
    {
        return $this->struck_at !== null;
    }

    /** As the core judges it; null of one that is due, was skipped or is struck out. */
    public function seen(Vessels $vessels): ?Seen
    {
        return $this->done_at === null || $this->values === null || $this->isStruck()
            ? null
            : Seen::of($this->done_at->getTimestamp(), new Values($this->values), $vessels);
    }
}
