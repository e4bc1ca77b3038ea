<?php

declare(strict_types=1);

namespace App\Vehicles;

use App\Audit\Subject;
use App\Audit\Trail;
use App\Models\Circuit;
use App\Models\Person;
use App\Models\Vehicle;

/** What a file of vehicles would do, line by line, before any of it is done. */
final class VehicleImport
{
    /** @var list<array{int, string, string}> line, field and what is wrong with it */
    public array $refused = [];

    /** @var list<array<string, mixed>> attributes of those that are not here yet */
    public array $new = [];

    /** @var list<array{Vehicle, array<string, mixed>}> those that are here, and what is different */
    public array $changed = [];

    public int $unchanged = 0;

    /** Whether who brings it in may retire vehicles. */
    public bool $mayRetire = false;

    public function refuse(int $line, string $field, string $why): void
    {
        $this->refused[] = [$line, $field, $why];
    }

    /** @param  array<string, mixed>  $attributes */
    public function take(?Vehicle $here, array $attributes): void
    {
        if ($here === null) {
            $this->new[] = $attributes;

            return;
        }
        $before = $here->getAttributes();
        $here->fill($attributes);
        $different = array_diff_key($here->getDirty(), ['read_on' => 1]) === [] ? [] : $here->getDirty();
        $here->setRawAttributes($before);
        if ($different === []) {
            $this->unchanged++;
        } else {
            $this->changed[] = [$here, array_intersect_key($attributes, $different)];
        }
    }

    /**
     * @return array<int, string> of the circuits that new ones would
     * have, by id: a part of a name was enough to mean one
     */
    public function circuits(): array
    {
        return Circuit::query()->whereIn('id', array_column($this->new, 'circuit_id'))->pluck('name', 'id')->all();
    }

    /** Whether all of it may be stored, and there is something to store. */
    public function canBeKept(): bool
    {
        return $this->refused === [] && ($this->new !== [] || $this->changed !== []);
    }

    /** Inside a transaction: all of it or nothing. */
    public function keep(Person $person): void
    {
        foreach ($this->new as $attributes) {
            Vehicle::query()->create($attributes);
            Trail::note($person, Subject::Vehicle, $attributes['plate'], Trail::between([], $attributes));
        }
        foreach ($this->changed as [$vehicle, $attributes]) {
            Trail::note(
                $person,
                Subject::Vehicle,
                $vehicle->plate,
                Trail::between($vehicle->getAttributes(), $attributes),
            );
            $vehicle->update($attributes);
        }
    }
}
