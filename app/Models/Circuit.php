<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Circuit\Circuit as CoreCircuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * One revision of a vehicle model's circuit.
 *
 * @property int $id
 * @property string $key
 * @property int $revision
 * @property string $name
 * @property array<string, mixed> $document
 */
class Circuit extends Model
{
    protected $table = 'circuits';

    protected $guarded = [];

    protected $casts = ['document' => 'array'];

    /**
     * Only the newest revision of each.
     *
     * @param  Builder<Circuit>  $query
     */
    public function scopeNewest(Builder $query): void
    {
        $query->whereIn('id', fn ($latest) => $latest->from('circuits')->selectRaw('max(id)')->groupBy('key'));
    }

    /** The newest revision of this circuit. */
    public function newestRevision(): self
    {
        return self::query()->where('key', $this->key)->orderByDesc('revision')->firstOrFail();
    }

    /** @return Builder<Vehicle> */
    public function vehiclesOfAllRevisions(): Builder
    {
        return Vehicle::query()->whereIn('circuit_id', self::query()->where('key', $this->key)->select('id'));
    }

    public function read(): CoreCircuit
    {
        return CircuitReader::stored($this->document);
    }
}
