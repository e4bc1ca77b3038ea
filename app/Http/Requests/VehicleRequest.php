<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Vehicle;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A vehicle as it is entered: its plate is its name in the shop and there once. */
final class VehicleRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $vehicle = $this->route('vehicle');
        $once = Rule::unique('vehicles', 'plate')->ignore($vehicle instanceof Vehicle ? $vehicle->id : null);

        return [
            'plate' => ['required', 'string', 'max:20', 'regex:/^[\pL\pN][\pL\pN \-.]*$/u', $once],
            'name' => ['required', 'string', 'max:120'],
            'circuit' => ['required', 'integer', 'exists:circuits,id'],
            'notes' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'plate.unique' => 'A vehicle with this plate is here already. Search for it, or enter another plate.',
            'plate.*' => 'Enter the plate, or the number the shop calls it by: letters, digits, spaces, - and ., at most 20.',
            'name.*' => 'Enter what kind of vehicle it is, in at most 120 letters.',
            'circuit.*' => 'Choose the circuit it has. One that fits nearly can be copied and changed under Circuits.',
            'notes.*' => 'Notes hold at most 2,000 letters.',
        ];
    }

    protected function prepareForValidation(): void
    {
        if (is_string($this->input('plate'))) {
            $this->merge(['plate' => mb_strtoupper((string) preg_replace('/\s+/u', ' ', trim($this->input('plate'))))]);
        }
    }

    /** @return array{plate: string, name: string, circuit_id: int, notes: string} */
    public function vehicle(): array
    {
        return [
            'plate' => $this->string('plate')->toString(), 'name' => $this->string('name')->trim()->toString(),
            'circuit_id' => $this->integer('circuit'), 'notes' => $this->string('notes')->trim()->toString(),
        ];
    }
}
