<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $plate
 * @property string $name
 * @property Circuit $circuit
 */
class Vehicle extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Circuit, $this> */
    public function circuit(): BelongsTo
    {
        return $this->belongsTo(Circuit::class);
    }

    /**
     * What the last finished job on it left for the next: what to watch, and how far the vehicle had run. Taken out of
     * the stored documents by the database; a plan has many numbers and this page wants two of them.
     *
     * @return ?array{job: Job, watch: list<string>, usage: array<string, float|bool>}
     */
    public function lastVisit(): ?array
    {
        $job = Job::query()->where('vehicle_id', $this->id)->whereNotNull('signed_at')->latest('signed_at')
            ->selectRaw("id, signed_at, json_extract(summary, '$.watch') as watch, json_extract(plan, '$.input.usage') as usage")->first();
        $list = fn (string $name): array => json_decode((string) $job?->getAttribute($name), true) ?? [];

        return $job === null ? null : ['job' => $job, 'watch' => $list('watch'), 'usage' => $list('usage')];
    }
}
