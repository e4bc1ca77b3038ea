<?php

declare(strict_types=1);

namespace App\Vehicles;

use App\Models\Circuit;
use App\Models\Vehicle;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** A vehicle as it is entered, on a page or in a line of a file: its plate is its name in the shop and there once. */
final class VehicleInput
{
    /** A vehicle that has run further or longer than this does not come to a shop (common practice, no source). */
    private const MOST_KM = 5.0e6;

    private const MOST_HOURS = 200_000.0;

    private const MOST_MONTHS = 240.0;

    private const MM_PER_KM = 1.0e6;

    private const SECONDS_PER_HOUR = 3600.0;

    /** How far it has run, and its own interval; all of it if known. */
    public static function form(): Form
    {
        $far = fn (string $name, string $label): Field => Field::length(
            $name,
            $label,
            0.0,
            self::MOST_KM * self::MM_PER_KM,
            false,
        )->in(Unit::Kilometre);
        $long = fn (string $name, string $label): Field => Field::duration(
            $name,
            $label,
            Unit::Hour,
            self::MOST_HOURS * self::SECONDS_PER_HOUR,
            false,
        );

        return new Form('usage', 'Keep', [
            $far('odometer', 'Odometer now'),
            $long('hours', 'Running hours now'),
            $far('interval_distance', 'Own change interval'),
            Field::number('interval_months', 'or so many months', 1.0, self::MOST_MONTHS)->optional(),
            $long('interval_hours', 'or running hours'),
        ]);
    }

    /** @return array<string, string> what is kept of a vehicle, as it stands in the inputs of the form */
    public static function shown(Vehicle $vehicle, UnitSystem $units): array
    {
        $kept = self::kept($vehicle);

        return array_combine(
            array_keys($kept),
            array_map(
                fn (Field $field, ?float $base) => $base === null ? '' : $field->assumedUnit($units)->typed($base),
                self::form()->fields,
                array_values($kept),
            ),
        );
    }

    /**
     * @param  array<mixed>  $raw  plate, name, circuit (its name, its key or an id), notes, and the fields of the form
     * @param  ?Vehicle  $existing  the one that is being changed
     * @return array<string, mixed> attributes to keep
     *
     * @throws ValidationException with every field that cannot be used
     */
    public static function read(array $raw, UnitSystem $units, ?Vehicle $existing = null): array
    {
        if (is_string($raw['plate'] ?? null)) {
            $raw['plate'] = mb_strtoupper((string) preg_replace('/\s+/u', ' ', trim($raw['plate'])));
        }
        if (is_string($raw['circuit'] ?? null)) {
            $raw['circuit'] = Circuit::meant(Circuit::byAnything(), $raw['circuit']) ?? $raw['circuit'];
        }
        $validator = Validator::make($raw, self::rules($existing), self::messages());
        $problems = $validator->errors()->messages();
        $usage = self::usage(is_array($raw['fields'] ?? null) ? $raw['fields'] : [], $units, $existing, $problems);
        if ($problems !== []) {
            throw ValidationException::withMessages($problems);
        }
        $read = $validator->validated();

        return [
            'plate' => $read['plate'],
            'name' => trim($read['name']),
            'circuit_id' => (int) $read['circuit'],
            'notes' => trim($read['notes'] ?? ''),
            ...$usage,
        ];
    }

    /**
     * @param  array<mixed>  $fields
     * @param  array<string, array<string>>  $problems  to which those of these fields are added
     * @return array<string, mixed>
     */
    private static function usage(array $fields, UnitSystem $units, ?Vehicle $existing, array &$problems): array
    {
        // What stands there as it was shown stays as it is stored, to the last digit.
        $shown = $existing === null ? [] : self::shown($existing, $units);
        $form = self::form();
        $typed = [];
        foreach ($form->fields as $field) {
            $text = $fields[$field->name] ?? $shown[$field->name] ?? '';
            $stands = $shown[$field->name] ?? '';
            if (
                ! is_string($text)
                || ! in_array(trim($text), [$stands, trim("{$stands} {$field->assumedUnit($units)->value}")], true)
            ) {
                $typed[$field->name] = $text;
            }
        }
        try {
            $in = $form->read($typed, $units)->values;
        } catch (InvalidFields $invalid) {
            foreach ($invalid->problems as $problem) {
                $problems[$problem->field] = [$problem->getMessage()];
            }

            return [];
        }
        $base = $existing === null ? [] : self::kept($existing);
        foreach (array_keys($typed) as $name) {
            $base[$name] = $in->number($name);
        }
        $of = fn (string $name, float $per): ?float => isset($base[$name]) ? round($base[$name] / $per, 3) : null;
        $now = ['odometer_km' => $of('odometer', self::MM_PER_KM), 'hours' => $of('hours', self::SECONDS_PER_HOUR)];
        $read = $in->number('odometer') !== null || $in->number('hours') !== null;

        return [
            ...$now,
            'interval_km' => $of('interval_distance', self::MM_PER_KM),
            'interval_months' => $of('interval_months', 1.0),
            'interval_hours' => $of('interval_hours', self::SECONDS_PER_HOUR),
            ...($read ? ['read_on' => now()->format('Y-m-d')] : []),
        ];
    }

    /** @return array<string, ?float> in the core's units, by field of the form, in its order */
    private static function kept(Vehicle $vehicle): array
    {
        $in = fn (?float $value, float $per): ?float => $value === null ? null : $value * $per;

        return [
            'odometer' => $in($vehicle->odometer_km, self::MM_PER_KM),
            'hours' => $in($vehicle->hours, self::SECONDS_PER_HOUR),
            'interval_distance' => $in($vehicle->interval_km, self::MM_PER_KM),
            'interval_months' => $in($vehicle->interval_months, 1.0),
            'interval_hours' => $in($vehicle->interval_hours, self::SECONDS_PER_HOUR),
        ];
    }

    /** @return array<string, list<mixed>> */
    private static function rules(?Vehicle $existing): array
    {
        return [
            'plate' => [
                'required',
                'string',
                'max:20',
                'regex:/^[\pL\pN][\pL\pN \-.]*$/u',
                Rule::unique('vehicles', 'plate')->ignore($existing?->id),
            ],
            'name' => ['required', 'string', 'max:120'],
            'circuit' => ['required', 'integer', 'exists:circuits,id'],
            'notes' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    private static function messages(): array
    {
        return [
            'plate.unique' => 'A vehicle with this plate is here already. Search for it, or enter another plate.',
            'plate.*' => 'Enter the plate, or the number the shop calls it by: letters, digits, spaces, - and ., '
                .'at most 20.',
            'name.*' => 'Enter what kind of vehicle it is, in at most 120 letters.',
            'circuit.*' => 'Choose the circuit it has, by its name or a part that only one has. '
                .'One that fits nearly can be copied and changed under Circuits.',
            'notes.*' => 'Notes hold at most 2,000 letters.',
        ];
    }
}
