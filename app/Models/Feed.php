<?php

declare(strict_types=1);

namespace App\Models;

use App\Practice\FoundOnItsGround;
use Aqbel\Core\Instruments\Sender;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * An instrument that sends to a job: whoever knows its address may, as long as the job is in hand.
 *
 * @property int $id
 * @property int $job_id
 * @property string $name
 * @property string $token_hash
 * @property string $token
 * @property ?string $stand_in faults of a vehicle that is not there, between commas; null of a real instrument
 * @property ?int $offset_ms what is added to its own count for the server's clock, ms
 * @property ?string $outlet  of the heater, at which its thermometer
 * is held now; null where its channels say it themselves
 * @property int $jumps how often its clock jumped
 * @property ?int $first_ms of its first point, Unix ms
 * @property ?int $last_ms of its newest point, Unix ms
 * @property int $judged_at Unix ms
 * @property ?string $quiet what the last look left for the batches after it; null where each of them is looked at
 * @property float $allowance lines it may send at once
 * @property ?int $allowed_at since when they count, Unix ms
 * @property Carbon|null $ended_at
 * @property Carbon $created_at
 * @property Job $job
 * @property Person $maker
 */
class Feed extends Row
{
    use FoundOnItsGround;

    public const UPDATED_AT = null;

    protected $table = 'feeds';

    protected $hidden = ['token', 'token_hash'];

    protected $casts = ['token' => 'encrypted', 'ended_at' => 'datetime', 'allowance' => 'float'];

    public function sender(): Sender
    {
        return new Sender(
            $this->offset_ms,
            $this->first_ms,
            $this->last_ms,
            $this->jumps,
            $this->allowance,
            $this->allowed_at,
            $this->outlet,
        );
    }

    public function stands(Sender $sender): self
    {
        return $this->fill([
            'offset_ms' => $sender->offsetMs,
            'first_ms' => $sender->firstMs,
            'last_ms' => $sender->lastMs,
            'jumps' => $sender->jumps,
            'allowance' => $sender->allowance,
            'allowed_at' => $sender->allowedAt,
        ]);
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'made_by');
    }

    /** @param  Builder<Feed>  $query */
    public function scopeSending(Builder $query): void
    {
        $query->whereNull('ended_at');
    }
}
