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

    /** The last finished job on it: what it left to watch, and when the coolant was changed. */
    public function lastSigned(): ?Job
    {
        return Job::query()->where('vehicle_id', $this->id)->whereNotNull('signed_at')->latest('signed_at')->first(['id', 'plan', 'summary', 'signed_at']);
    }
}
