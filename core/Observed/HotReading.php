<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** A running engine as thermometers tell it: coolant by a live reading, the far side of the thermostat, the outlets. */
final readonly class HotReading extends Report
{
    private const FORM = 'reading';

    public const FAR = 'far';

    private const OUTLET = 'outlet_';

    private const OUTLET_LEAST_C = -40.0;

    private const OUTLET_MOST_C = 120.0;

    /**
     * @param  float  $coolantC  live
     * @param  ?float  $farC  far side of the thermostat
     * @param  array<string, float>  $outletsC  air at those that were read, by outlet
     */
    private function __construct(
        Told $told,
        public float $coolantC,
        public ?float $farC,
        public array $outletsC,
        public WhileItRuns $besides,
    ) {
        parent::__construct($told);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function forms(): array
    {
        return [self::FORM];
    }

    /** @param  Entry  $line  of a step at which the engine runs */
    public static function of(Entry $line): ?static
    {
        $coolant = $line->form === self::FORM ? $line->number(CoolantRead::COOLANT) : null;
        if ($coolant === null) {
            return null;
        }
        $outlets = [];
        foreach ($line->values->toArray() as $key => $celsius) {
            if (str_starts_with($key, self::OUTLET) && (is_float($celsius) || is_int($celsius))) {
                $outlets[substr($key, strlen(self::OUTLET))] = (float) $celsius;
            }
        }

        return new self(Told::by($line), $coolant, $line->number(self::FAR), $outlets, WhileItRuns::of($line));
    }

    /**
     * As instruments showed it: nobody looked for bubbles, and nobody said that something is wrong.
     *
     * @param  array<string, float>  $outletsC  by outlet
     */
    public static function streamed(float $coolantC, ?float $farC, array $outletsC): Values
    {
        $values = [CoolantRead::COOLANT => $coolantC] + ($farC === null ? [] : [self::FAR => $farC]);
        foreach ($outletsC as $outlet => $celsius) {
            $values[self::outletKey($outlet)] = $celsius;
        }

        return new Values($values);
    }

    /** @param  list<?Field>  $besides */
    public static function asked(Facts $facts, array $besides): Form
    {
        return new Form(self::FORM, 'Record reading', [
            CoolantRead::field('Coolant, live'),
            self::farField($facts)->usuallySaid(),
            ...array_map(self::outletField(...), $facts->outlets),
            ...$besides,
        ]);
    }

    /** Without outlets and bubbles: on water that only has to go round. */
    public static function askedOnWater(Facts $facts): Form
    {
        return new Form(self::FORM, 'Record reading', [
            CoolantRead::field('Coolant, live'), self::farField($facts), WhileItRuns::signField(),
        ]);
    }

    public static function outletField(string $outlet): Field
    {
        return Field::temperature(
            self::OUTLET.$outlet,
            "Outlet air, {$outlet}",
            false,
            self::OUTLET_LEAST_C,
            self::OUTLET_MOST_C,
        );
    }

    /** The field under which an outlet's air stands. */
    public static function outletKey(string $outlet): string
    {
        return self::OUTLET.$outlet;
    }

    /** Whichever sensor says more, °C. */
    public function hottestC(): float
    {
        return max($this->coolantC, $this->farC ?? $this->coolantC);
    }

    private static function farField(Facts $facts): Field
    {
        return Field::coolant(self::FAR, "Far side: {$facts->thermostatFarSide}");
    }
}
