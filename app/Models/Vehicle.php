<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Plan\Format\ChoicesCodec;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $circuit_id
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
     * Taken out of the stored documents by the database: a plan has many numbers and the next one wants two of them.
     */
    public function lastVisit(): ?LastVisit
    {
        $job = Job::query()->where('vehicle_id', $this->id)->whereNotNull('signed_at')->latest('signed_at')
            ->select(
                [
                    'id',
                    'signed_at',
                    'summary->watch as watch',
                    'plan->choices->usage as usage',
                    'plan->input->usage as earlier_usage',
                ],
            )
            ->first();
        if ($job === null) {
            return null;
        }
        $list = fn (string $name): array => (array) json_decode((string) $job->getAttribute($name), true);
        $watch = array_values(array_filter($list('watch'), is_string(...)));

        return new LastVisit(
            $job->number(),
            $job->signed_at?->format('Y-m') ?? '',
            $watch,
            ChoicesCodec::readUsage($list('usage') + $list('earlier_usage')),
        );
    }
}
