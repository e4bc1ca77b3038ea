<?php

declare(strict_types=1);

namespace App\Models;

use App\Practice\FoundOnItsGround;
use Aqbel\Core\Circuit\Circuit as CoreCircuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One revision of a vehicle model's circuit.
 *
 * @property int $id
 * @property string $key
 * @property int $revision
 * @property string $name
 * @property array<string, mixed> $document
 * @property ?int $added_by  who does not keep the circuits, and added to it
 * @property ?Carbon $looked_at  by a lead, where somebody added to it
 * @property ?Person $adder
 * @property Carbon $created_at
 * @property ?string $asks_for  node or passage that whoever works on such a vehicle next is asked to measure
 */
class Circuit extends Row
{
    use FoundOnItsGround;

    /** Letters of a part of a name by which a circuit is meant. */
    private const LEAST_PART = 3;

    protected $table = 'circuits';

    protected $casts = ['document' => 'array', 'looked_at' => 'datetime'];

    /**
     * Only the newest revision of each.
     *
     * @param  Builder<Circuit>  $query
     */
    public function scopeNewest(Builder $query): void
    {
        $query->whereIn('id', fn ($latest) => $latest->from('circuits')->selectRaw('max(id)')->groupBy('key'));
    }

    /** Somebody added to it who does not keep the circuits, and nobody who does has looked. */
    public function waitsForALook(): bool
    {
        return $this->added_by !== null && $this->looked_at === null;
    }

    /** The newest revision before this one that a lead made or has looked at; null where there is none. */
    public function lastLookedAt(): ?self
    {
        return self::query()
            ->where('key', $this->key)
            ->where('revision', '<', $this->revision)
            ->orderByDesc('revision')
            ->get()
            ->first(
                fn (self $circuit) => $circuit->added_by === null
                    || ($circuit->looked_at !== null && $circuit->looked_at <= $this->created_at),
            );
    }

    /** @return BelongsTo<Person, $this> */
    public function adder(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'added_by');
    }

    /** Whether there is a later revision: a job goes by the one it was planned on. */
    public function wasRevised(): bool
    {
        return self::query()->where('key', $this->key)->where('revision', '>', $this->revision)->exists();
    }

    /** The newest revision of this circuit. */
    public function newestRevision(): self
    {
        return self::query()->where('key', $this->key)->orderByDesc('revision')->firstOrFail();
    }

    /**
     * The newest revision of each, by what it is called: its name, or its key where several share that.
     *
     * @return array<string, int>
     */
    public static function byName(): array
    {
        $circuits = self::query()
            ->newest()
            ->orderBy('name')
            ->get(['id', 'key', 'name']);
        $times = array_count_values(
            array_map(mb_strtolower(...), array_map(strval(...), $circuits->pluck('name')->all())),
        );

        return array_map(intval(...), $circuits->mapWithKeys(fn (self $circuit) => [
            $times[mb_strtolower($circuit->name)] > 1 ? $circuit->key : $circuit->name => $circuit->id,
        ])->all());
    }

    /** @return array<int|string, int> the same by key and by name, in small letters: as somebody may type it */
    public static function byAnything(): array
    {
        $called = self::query()->newest()->pluck('id', 'key')->all();
        foreach (self::byName() as $name => $id) {
            $called[mb_strtolower($name)] ??= $id;
        }

        return $called;
    }

    /**
     * The circuit that is meant by what somebody typed: its name or key, or a part of it that only one has.
     *
     * @param  array<int|string, int>  $called  as `byAnything` gives them
     */
    public static function meant(array $called, string $typed): ?int
    {
        $part = mb_strtolower(trim($typed));
        if (isset($called[$part]) || mb_strlen($part) < self::LEAST_PART || ctype_digit($part)) {
            return $called[$part] ?? null;
        }
        $fit = array_values(
            array_unique(
                array_filter(
                    $called,
                    fn (int $id, int|string $name) => str_contains((string) $name, $part),
                    ARRAY_FILTER_USE_BOTH,
                ),
            ),
        );

        return count($fit) === 1 ? $fit[0] : null;
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
