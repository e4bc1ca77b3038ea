<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Job;
use App\Models\Shop;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Stores\Offer;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;

/** What is chosen on the Plan page. Ports and parts must belong to the vehicle's own circuit. */
final class PlanRequest extends FormRequest
{
    public const JOBS = ['repair' => 'Repair', 'change' => 'Coolant change', 'lost' => 'Coolant lost', 'bleed' => 'Bleed only'];

    public const COMPLAINTS = ['none' => 'None', 'overheats' => 'Overheats', 'heater_cold' => 'Heater cold', 'gurgling' => 'Gurgling', 'fan' => 'Fan early or long', 'alarm' => 'Low-level alarm', 'falling' => 'Level falling'];

    private const STOCKS = ['concentrate' => 'Concentrate and water', 'premix' => 'Premix'];

    /** Below this the inhibitor is too thin, whatever the frost asks for (common practice, no source). */
    private const LEAST_GLYCOL = 0.40;

    private const MOST_GLYCOL = 0.60;

    /** @return array<string, array{string, array<string, string>}> label and choices by field */
    public static function choices(): array
    {
        return [
            'kind' => ['Job', self::JOBS], 'complaint' => ['Complaint', self::COMPLAINTS],
            'content' => ['In it now', array_combine(array_column(Compatibility::cases(), 'value'), array_map(fn (Compatibility $c) => $c->label(), Compatibility::cases()))],
            'school' => ['School', ['gravity' => 'Gravity with bleed points', 'vacuum' => 'Vacuum fill']], 'stock' => ['Poured', self::STOCKS],
        ];
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'vehicle' => $this->isMethod('POST') ? ['required', 'integer', 'exists:vehicles,id', self::notOpenAlready(...)] : ['nullable', 'integer'],
            ...array_map(fn (array $choice) => ['nullable', 'in:'.implode(',', array_keys($choice[1]))], self::choices()),
            'opened' => ['nullable', 'array', 'max:40'], 'opened.*' => ['string', 'max:400'], 'drains' => ['nullable', 'array', 'max:20'], 'drains.*' => ['string', 'max:40'], 'bleeds' => ['nullable', 'array', 'max:20'], 'bleeds.*' => ['string', 'max:40'], 'tools' => ['nullable', 'array', 'max:10'], 'tools.*' => ['in:'.implode(',', array_keys(Choices::TOOLS))],
            ...array_fill_keys(['lift', 'head', 'target', 'frost', 'cure', 'odometer', 'hours', 'last_odometer', 'last_hours'], ['nullable', 'string', 'max:40']),
            'last_month' => ['nullable', 'date_format:Y-m', 'before_or_equal:now'], 'drains_auto' => ['nullable', 'in:0,1'],
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
        return ['*.in' => 'This choice is not one the page offers. Choose again.', 'last_month.*' => 'Enter year and month as 2024-05, not in the future.', 'vehicle.required' => 'Choose the vehicle.', 'vehicle.exists' => 'Choose one of the vehicles listed.', 'vehicle.integer' => 'Choose one of the vehicles listed.'];
    }

    protected function getRedirectUrl(): string
    {
        $failed = array_map(fn (string $key) => explode('.', $key)[0], $this->getValidatorInstance()->errors()->keys());

        return $this->isMethod('POST') ? self::backTo($this->except($failed)) : url('/jobs/new');
    }

    /**
     * The Plan page with everything that was chosen and could be used.
     *
     * @param  array<string, mixed>  $chosen
     */
    public static function backTo(array $chosen): string
    {
        return url('/jobs/new').'?'.http_build_query(array_diff_key($chosen, ['_token' => 1]));
    }

    /**
     * @param  list<Offer>  $offers  that suit the circuit
     *
     * @throws InvalidField
     */
    public function planInput(Circuit $circuit, Shop $shop, array $offers = []): Choices
    {
        $chosen = $this->has('chosen') || $this->isMethod('POST');
        $tools = $chosen && $this->has('tools_chosen');
        $known = fn (string $list, array $ids): array => array_values(array_intersect($ids, $this->array($list)));
        $frost = $this->number(Field::temperature('frost', 'Frost protection', false, -60, 0), null);
        $input = new Choices(
            jobKind: $this->string('kind', Choices::REPAIR)->toString(),
            complaint: $this->string('complaint', 'none')->toString(),
            school: $this->string('school', Choices::GRAVITY)->toString(),
            opened: $chosen ? array_values(array_intersect(array_keys($circuit->passages), explode(',', implode(',', $this->array('opened'))))) : [],
            drains: $known('drains', array_map(fn ($port) => $port->id, $circuit->portsOf('drain'))),
            elevationM: $shop->elevation_m,
            noseLiftMm: (float) $this->number(Field::length('lift', 'Nose raised', 0, 600), 0.0),
            targetFraction: $frost === null ? (float) $this->number(self::targetField(), $circuit->facts->targetFraction) : self::glycolFor($circuit, $frost),
            cureMinutes: (float) $this->number(Field::duration('cure', 'Sealant cures', Unit::Minute, 172800), 0.0) / 60.0,
            rules: $shop->houseRules(),
            tools: $tools ? array_values($this->array('tools')) : array_keys(Choices::TOOLS),
            headMm: (float) $this->number(Field::length('head', 'Funnel above the neck', 0, 1000), 0.0),
            bleeds: $tools ? $known('bleeds', array_map(fn ($port) => $port->id, $circuit->portsOf('bleed'))) : null,
            content: $this->string('content', Compatibility::AsManual->value)->toString(),
            stockFraction: $this->string('stock')->toString() === 'premix' ? self::premixOf($offers) : 1.0,
            frostC: $frost,
            usage: $this->usage(),
        );

        return match (true) {
            $input->jobKind === Choices::BLEED => $input->draining([]),
            ! $chosen || $this->boolean('drains_auto') => $input->draining(DrainWorth::recommended($this->worth($circuit, $input))),
            default => $input,
        };
    }

    /** @return list<DrainWorth> */
    public function worth(Circuit $circuit, Choices $input): array
    {
        $by = [$input->opened, $input->wantsAllOut(), $input->noseLiftMm];

        return Cache::remember('worth.'.sha1(serialize([$circuit, $by])), 86400, fn () => DrainWorth::of($circuit, ...$by));
    }

    /** Glycol share for a frost, within what the inhibitor and the heat allow. */
    private static function glycolFor(Circuit $circuit, float $frostC): float
    {
        $most = (new Mixture($circuit->facts->base, self::MOST_GLYCOL))->freezePoint()->degC();
        if ($frostC < $most - 0.5) {
            throw new InvalidField('frost', sprintf('60 %% protects to %.0f °C, and more glycol is not better: it freezes earlier again. Enter no colder than that.', $most));
        }

        return min(self::MOST_GLYCOL, max(self::LEAST_GLYCOL, ceil(Mixture::freezingAt($circuit->facts->base, Temperature::celsius($frostC))->volumeFraction * 100.0) / 100.0));
    }

    /** @param  list<Offer>  $offers */
    private static function premixOf(array $offers): float
    {
        foreach ($offers as $offer) {
            if ($offer->kind === Offer::PREMIX) {
                return $offer->fraction;
            }
        }

        return 0.5;
    }

    /** @return array<string, float|bool|null> */
    private function usage(): array
    {
        $road = fn (string $name): ?float => ($mm = $this->number($this->roadField($name), null)) === null ? null : $mm / 1.0e6;
        $hours = fn (string $name): ?float => ($seconds = $this->number(self::hoursField($name), null)) === null ? null : $seconds / 3600.0;
        [$odometer, $ran] = [$road('odometer'), $hours('hours')];
        $since = fn (?float $now, ?float $then): ?float => $now === null || $then === null ? null : max(0.0, $now - $then);
        $month = $this->string('last_month')->toString();

        return array_filter([
            'odometer_km' => $odometer, 'hours' => $ran,
            'since_km' => $since($odometer, $road('last_odometer')), 'since_hours' => $since($ran, $hours('last_hours')),
            'since_months' => $month === '' ? null : Carbon::createFromFormat('!Y-m', $month)->diffInMonths(now()->startOfMonth()),
            'first' => $this->boolean('first_fill'),
        ], fn (mixed $value) => $value !== null && $value !== false);
    }

    public function roadField(string $name): Field
    {
        return Field::length($name, 'Distance', 0, 5.0e12, false)->in($this->user()->units === UnitSystem::UsCustomary ? Unit::Mile : Unit::Kilometre);
    }

    private static function hoursField(string $name): Field
    {
        return Field::duration($name, 'Running hours', Unit::Hour, 3600.0 * 1_000_000, false);
    }

    private function number(Field $field, ?float $default): ?float
    {
        $text = $this->string($field->name)->toString();

        return $text === '' ? $default : (float) $field->read($text, $this->user()->units)[0];
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
