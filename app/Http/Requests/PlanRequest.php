<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Job;
use App\Models\Shop;
use App\Models\Vehicle;
use App\Plan\Worked;
use App\Shop\Elevation;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Schools;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\Usage;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Schools\Aid;
use Aqbel\Core\Schools\RunsUntil;
use Aqbel\Core\Schools\WarmedBy;
use Aqbel\Core\Schools\Way;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Offer;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;

/** What is chosen on the Plan page. Ports and parts must belong to the vehicle's own circuit. */
final class PlanRequest extends FormRequest
{
    /** Below this the inhibitor is too thin, whatever the frost asks for (common practice, no source). */
    private const LEAST_GLYCOL = 0.40;

    /** Above this more glycol is not better (common practice, no source). */
    private const MOST_GLYCOL = 0.60;

    /** A frost asked for within so much of the strongest mixture's is that one's, K. */
    private const FROST_SLACK_K = 0.5;

    /** Premix where the price list has none. */
    private const USUAL_PREMIX = 0.5;

    private const STEPPERS = [
        'elevation', 'lift', 'head', 'target', 'frost', 'cure', 'odometer', 'hours', 'last_odometer', 'last_hours',
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $one = fn (array $cases): array => ['nullable', 'in:'.implode(',', array_column($cases, 'value'))];
        $ports = ['string', 'max:40'];

        return [
            'vehicle' => $this->is('jobs')
                ? [
                    'required',
                    'integer',
                    Rule::exists('vehicles', 'id')->whereNull('retired_at'),
                    self::notOpenAlready(...),
                ]
                : ['nullable', 'integer'],
            'kind' => $one(JobKind::cases()),
            'complaint' => $one(Complaint::cases()),
            'content' => $one(Compatibility::cases()),
            'school' => ['nullable', 'string', 'max:120'],
            'warm_up' => $one(WarmedBy::cases()),
            'end' => $one(RunsUntil::cases()),
            'shelter' => $one(Shelter::cases()),
            'aids' => ['nullable', 'array', 'max:5'],
            'aids.*' => ['in:'.implode(',', array_column(Aid::cases(), 'value'))],
            'stock' => ['nullable', 'in:concentrate,premix'],
            'opened' => ['nullable', 'array', 'max:40'],
            'opened.*' => ['string', 'max:400'],
            'drains' => ['nullable', 'array', 'max:20'],
            'drains.*' => $ports,
            'bleeds' => ['nullable', 'array', 'max:20'],
            'bleeds.*' => $ports,
            'tools' => ['nullable', 'array', 'max:10'],
            'tools.*' => ['in:'.implode(',', array_column(Tool::cases(), 'value'))],
            ...array_fill_keys(self::STEPPERS, ['nullable', 'string', 'max:40']),
            'last_month' => ['nullable', 'date_format:Y-m', 'before_or_equal:now'],
            'drains_auto' => ['nullable', 'in:0,1'],
        ];
    }

    /** One vehicle on the floor, one open job: two ledgers of one circuit would both be wrong. */
    private static function notOpenAlready(string $attribute, mixed $value, \Closure $fail): void
    {
        $open = self::alreadyOpen((int) $value);
        if ($open !== null) {
            $fail($open);
        }
    }

    /** Which job stands open on a vehicle, in a sentence; null where none does. */
    public static function alreadyOpen(int $vehicle): ?string
    {
        $open = Job::query()->open()->where('vehicle_id', $vehicle)->first();

        return $open === null
            ? null
            : "{$open->number()} is still open on this vehicle. Go on with it from the floor, or sign it off first.";
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            '*.in' => 'This choice is not one the page offers. Choose again.',
            'last_month.*' => 'Enter year and month as 2024-05, not in the future.',
            'vehicle.required' => 'Choose the vehicle.',
            'vehicle.exists' => 'Choose one of the vehicles listed.',
            'vehicle.integer' => 'Choose one of the vehicles listed.',
        ];
    }

    protected function getRedirectUrl(): string
    {
        $failed = array_map(fn (string $key) => explode('.', $key)[0], $this->getValidatorInstance()->errors()->keys());

        return $this->isMethod('POST') ? self::backTo($this->except($failed)) : url('/jobs/new');
    }

    /**
     * The Plan page with everything that was chosen and could be used.
     *
     * @param  array<mixed>  $chosen
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
    public function choices(Vehicle $vehicle, Circuit $circuit, Shop $shop, array $offers = []): Choices
    {
        $left = $vehicle->leftBehind();
        $chosen = $this->has('chosen') || $this->isMethod('POST');
        $tools = $chosen && $this->has('tools_chosen');
        $frost = $this->number(Field::temperature('frost', 'Frost protection', false, -60, 0), null);
        $target = Field::fraction('target', 'Glycol wanted', 0.0, self::MOST_GLYCOL);
        $cure = Field::duration('cure', 'Sealant cures', Unit::Minute, 172800);
        $choices = new Choices(
            jobKind: $this->enum('kind', JobKind::class) ?? JobKind::Repair,
            complaint: $this->enum('complaint', Complaint::class) ?? Complaint::None,
            school: $this->way($circuit),
            opened: $chosen
                ? array_values(
                    array_intersect(array_keys($circuit->passages), explode(',', implode(',', $this->array('opened')))),
                )
                : [],
            drains: array_values(array_intersect($circuit->portIds(PortKind::Drain), $this->array('drains'))),
            elevationM: Elevation::of($this->number(Elevation::field(), 1000.0 * $shop->elevation_m), null),
            noseLiftMm: (float) $this->number(Field::length('lift', 'Nose raised', 0, 600), 0.0),
            targetFraction: $frost === null
                ? (float) $this->number($target, $circuit->facts->targetFraction)
                : self::glycolFor($circuit, $frost),
            cureMinutes: (float) $this->number($cure, 0.0) / 60.0,
            rules: $shop->rulesFor($vehicle),
            tools: $tools
                ? array_values(array_filter(array_map(Tool::tryFrom(...), $this->array('tools'))))
                : $shop->toolsAtHand(),
            headMm: (float) $this->number(Field::length('head', 'Funnel above the neck', 0, 1000), 0.0),
            bleeds: $tools
                ? array_values(array_intersect($circuit->portIds(PortKind::Bleed), $this->array('bleeds')))
                : null,
            content: $this->enum('content', Compatibility::class) ?? (
                $left?->isEmpty() ? Compatibility::Nothing : Compatibility::AsManual
            ),
            stockFraction: $this->string('stock')->toString() === Liquid::Premix->value ? self::premixOf($offers) : 1.0,
            frostC: $frost,
            usage: $this->usage($vehicle),
            left: $left,
            shelter: $this->enum('shelter', Shelter::class) ?? Shelter::Open,
            onWhatStays: true,
        );

        $worksItOut = $this->boolean('drains_auto');

        return match (true) {
            $choices->drainsNothing() && (! $choices->leakIsFound() || $worksItOut) => $choices->draining([]),
            ! $chosen || $worksItOut => $choices->draining(
                DrainWorth::recommended(Worked::worth($vehicle, $circuit, $choices)),
            ),
            default => $choices,
        };
    }

    /** The way by name, or put together where something else is chosen of how it is warmed up, helped or ended. */
    private function way(Circuit $circuit): string
    {
        $id = $this->filled('school') ? $this->string('school')->toString() : self::usualSchool($circuit);
        $warm = WarmedBy::tryFrom($this->string('warm_up')->toString());
        $until = RunsUntil::tryFrom($this->string('end')->toString());
        $aids = array_values(
            array_filter(
                array_map(fn (mixed $aid) => is_string($aid) ? Aid::tryFrom($aid) : null, $this->array('aids')),
            ),
        );
        if ($warm === null && $until === null && $aids === []) {
            return $id;
        }
        $by = app(Schools::class)->of($id);
        $by = $by instanceof Way ? $by->by : $by;
        $usual = $by->warmUp() === WarmUp::UnderFunnel ? WarmedBy::UnderFunnel : WarmedBy::Sealed;

        return Way::made($by, $warm ?? $usual, $aids, $until ?? RunsUntil::QuietTwice)?->id()
            ?? throw new InvalidField(
                'school',
                "{$by->label()} is a way of its own, and is not put together with others. "
                    .'Choose another, or leave the rest as usual.',
            );
    }

    public function asksForAWay(): bool
    {
        return $this->filled('school')
            || $this->filled('warm_up')
            || $this->filled('end')
            || $this->array('aids') !== [];
    }

    /** The first that can be run. */
    public static function usualSchool(Circuit $circuit): string
    {
        return app(Schools::class)->for($circuit)[0]->id();
    }

    /** Glycol share for a frost, within what the inhibitor and the heat allow. */
    private static function glycolFor(Circuit $circuit, float $frostC): float
    {
        $most = (new Mixture($circuit->facts->base, self::MOST_GLYCOL))->freezePoint()->degC();
        if ($frostC < $most - self::FROST_SLACK_K) {
            throw new InvalidField(
                'frost',
                sprintf(
                    '60 %% protects to %.0f °C, and more glycol is not better: it freezes earlier again. Enter no '
                        .'colder than that.',
                    $most,
                ),
            );
        }
        $share = Mixture::freezingAt($circuit->facts->base, Temperature::celsius($frostC))->volumeFraction;

        return min(self::MOST_GLYCOL, max(self::LEAST_GLYCOL, ceil($share * 100.0) / 100.0));
    }

    /** @param  list<Offer>  $offers */
    private static function premixOf(array $offers): float
    {
        foreach ($offers as $offer) {
            if ($offer->liquid === Liquid::Premix) {
                return $offer->fraction;
            }
        }

        return self::USUAL_PREMIX;
    }

    /** @throws InvalidField where it would have run backwards */
    private function usage(Vehicle $vehicle): Usage
    {
        $road = fn (string $name): ?float => (
            $mm = $this->number(self::roadField($name), null)
        ) === null ? null : $mm / 1.0e6;
        $hours = fn (string $name): ?float => (
            $seconds = $this->number(self::hoursField($name), null)
        ) === null ? null : $seconds / 3600.0;
        [$odometer, $ran] = [$road('odometer'), $hours('hours')];
        $since = fn (string $field, ?float $now, ?float $then): ?float => match (true) {
            $now === null, $then === null => null,
            $now < $then => throw new InvalidField($field, 'Then it had run further than now: one of the two is misread.'),
            default => $now - $then,
        };
        $month = $this->string('last_month')->toString();
        $months = $month === ''
            ? null
            : (float) Carbon::createFromFormat('!Y-m', $month)?->diffInMonths(now()->startOfMonth());

        $usage = new Usage(
            $odometer,
            $ran,
            $since('last_odometer', $odometer, $road('last_odometer')),
            $months,
            $since('last_hours', $ran, $hours('last_hours')),
            $this->boolean('first_fill'),
        );
        $vehicle->assertRunsOn($usage, $this->units());

        return $usage;
    }

    private static function roadField(string $name): Field
    {
        return Field::length($name, 'Distance', 0, 5.0e12, false)->in(Unit::Kilometre);
    }

    private static function hoursField(string $name): Field
    {
        return Field::duration($name, 'Running hours', Unit::Hour, 3600.0 * 1_000_000, false);
    }

    private function number(Field $field, ?float $default): ?float
    {
        $text = $this->string($field->name)->toString();

        return $text === '' ? $default : (float) $field->read($text, $this->units())[0];
    }

    private function units(): UnitSystem
    {
        return $this->user()->units ?? UnitSystem::Metric;
    }
}
