<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Job;
use App\Models\Shop;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Sequence\Field;
use Aqbel\Core\Sequence\PlanInput;
use Illuminate\Foundation\Http\FormRequest;

/** What is chosen on the Plan page. Ports and parts must belong to the vehicle's own circuit. */
final class PlanRequest extends FormRequest
{
    public const JOBS = ['repair' => 'Repair', 'change' => 'Coolant change', 'lost' => 'Coolant lost', 'bleed' => 'Bleed only'];

    public const COMPLAINTS = ['none' => 'None', 'overheats' => 'Overheats', 'heater_cold' => 'Heater cold', 'gurgling' => 'Gurgling', 'alarm' => 'Low-level alarm', 'falling' => 'Level falling'];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'vehicle' => [$this->isMethod('POST') ? 'required' : 'nullable', 'integer', 'exists:vehicles,id', ...($this->isMethod('POST') ? [self::notOpenAlready(...)] : [])],
            'school' => ['nullable', 'in:gravity,vacuum'], 'kind' => ['nullable', 'in:'.implode(',', array_keys(self::JOBS))],
            'complaint' => ['nullable', 'in:'.implode(',', array_keys(self::COMPLAINTS))],
            'opened' => ['nullable', 'array', 'max:40'], 'opened.*' => ['string', 'max:40'], 'drains' => ['nullable', 'array', 'max:20'], 'drains.*' => ['string', 'max:40'], 'bleeds' => ['nullable', 'array', 'max:20'], 'bleeds.*' => ['string', 'max:40'], 'tools' => ['nullable', 'array', 'max:10'], 'tools.*' => ['in:'.implode(',', array_keys(PlanInput::TOOLS))],
            'lift' => ['nullable', 'string', 'max:40'], 'head' => ['nullable', 'string', 'max:40'], 'target' => ['nullable', 'string', 'max:40'], 'cure' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** One vehicle on the floor, one open job: two ledgers of one circuit would both be wrong. */
    private static function notOpenAlready(string $attribute, mixed $value, \Closure $fail): void
    {
        $open = Job::query()->open()->where('vehicle_id', (int) $value)->first();
        if ($open !== null) {
            $fail("{$open->number()} is still open on this vehicle. Go on with it from the floor, or sign it off first.");
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.in' => 'This choice is not one the page offers. Choose again.', 'vehicle.required' => 'Choose the vehicle.', 'vehicle.exists' => 'Choose one of the vehicles listed.', 'vehicle.integer' => 'Choose one of the vehicles listed.'];
    }

    protected function getRedirectUrl(): string
    {
        return url('/jobs/new');
    }

    /** @throws InvalidField */
    public function planInput(Circuit $circuit, Shop $shop): PlanInput
    {
        $units = $this->user()->units;
        $number = fn (Field $field, float $default): float => ($text = $this->string($field->name)->toString()) === '' ? $default : (float) $field->read($text, $units)[0];
        $chosen = $this->has('chosen') || $this->isMethod('POST');
        $drainPorts = array_map(fn ($port) => $port->id, $circuit->portsOf('drain'));

        return new PlanInput(
            $this->string('kind', 'repair')->toString(), $this->string('complaint', 'none')->toString(),
            $this->string('school', 'gravity')->toString(),
            $chosen ? array_values(array_intersect($this->array('opened'), array_keys($circuit->passages))) : [],
            $chosen ? array_values(array_intersect($drainPorts, $this->array('drains'))) : $drainPorts,
            $shop->elevation_m,
            $number(Field::length('lift', 'Nose raised', 0, 600), 0.0),
            $number(self::targetField(), $circuit->facts->targetFraction),
            $number(Field::duration('cure', 'Sealant cures', \Aqbel\Core\Quantity\Unit::Minute, 172800), 0.0) / 60.0,
            $shop->houseRules(),
            $chosen && $this->has('tools_chosen') ? array_values($this->array('tools')) : array_keys(PlanInput::TOOLS),
            $number(Field::length('head', 'Funnel above the neck', 0, 1000), 0.0),
            $chosen && $this->has('tools_chosen') ? array_values(array_intersect(array_map(fn ($port) => $port->id, $circuit->portsOf('bleed')), $this->array('bleeds'))) : null,
        );
    }

    public function reason(): string
    {
        return self::JOBS[$this->string('kind', 'repair')->toString()];
    }

    private static function targetField(): Field
    {
        return Field::fraction('target', 'Glycol wanted', 0.0, 0.6);
    }
}
