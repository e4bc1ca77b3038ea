<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Circuit\Circuit as CoreCircuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\HtmlString;
use Illuminate\View\ComponentAttributeBag;

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

    /** @return Builder<Vehicle> */
    public function vehiclesOfAllRevisions(): Builder
    {
        return Vehicle::query()->whereIn('circuit_id', self::query()->where('key', $this->key)->select('id'));
    }

    /** The elevation view without its legend. A revision never changes, so it is drawn once. */
    public function drawing(): HtmlString
    {
        return new HtmlString(Cache::rememberForever("drawing.{$this->id}", fn () => view('components.elevation', ['circuit' => $this->read(), 'runs' => null, 'legend' => false, 'attributes' => new ComponentAttributeBag])->render()));
    }

    public function read(): CoreCircuit
    {
        return CircuitReader::read($this->document);
    }
}
