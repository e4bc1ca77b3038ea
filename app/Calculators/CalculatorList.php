<?php

declare(strict_types=1);

namespace App\Calculators;

use Aqbel\Core\Heat\CoolDown;
use Aqbel\Core\Heat\Reading;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Mixing\RinseChain;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Typed;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Vacuum\VacuumPlan;
use Aqbel\Core\Values;

/** The calculators, each the very function a job uses. */
final class CalculatorList
{
    private const MOST_ML = 500_000.0;

    /** The strongest mixture that is asked about. */
    private const STRONGEST = 0.7;

    /**
     * @param  float  $elevationM  of the shop, where nothing else is typed
     * @return array<string, Calculator> by name
     */
    public static function all(float $elevationM): array
    {
        $base = Field::choice('base', 'Base', self::bases(), Glycol::Ethylene->value);
        $fraction = Field::fraction('fraction', 'Glycol by volume', 0.0, self::STRONGEST)->preset(0.5);
        $elevation = Field::length('elevation', 'Elevation', -500_000, 5_000_000)
            ->preset($elevationM * 1000)
            ->in(Unit::Metre);
        $capacity = Field::volume('capacity', 'Circuit holds', self::MOST_ML)->preset(9000.0);
        $calculators = [
            new Calculator('mixture', 'Mixture', [
                $capacity,
                Field::volume('retained', 'Stays inside', self::MOST_ML)->preset(2600.0),
                Field::fraction('retained_fraction', 'of which glycol')->preset(0.0),
                Field::fraction('target', 'Glycol wanted', 0.0, self::STRONGEST)->preset(0.5),
            ], self::mixture(...), 'concentrate = capacity · target − retained · its share; '
                .'water = the rest', 'Conservation of volume and glycol.'),
            new Calculator('frost', 'Frost and boiling', [
                $base, $fraction, $elevation, Field::pressure('cap', 'Cap, 0 for open', 400)->preset(0.0),
            ],
                self::frost(...), 'boils where xʷ · p_sat(T) = p; freezes by the table, monotone between its rows',
                'Raoult; IAPWS-IF97 region 4; ASHRAE Handbook—Fundamentals, aqueous glycols, from memory.'),
            new Calculator('vacuum', 'Vacuum and elevation', [
                $elevation,
                Field::vacuum('target', 'Wanted at sea level')->preset(Pressure::inchesOfMercury(25.0)->kPa()),
                Field::volume('void', 'Void', self::MOST_ML)->preset(8000.0),
                Field::temperature('temperature', 'Circuit at', true, -30, 120)->preset(20.0),
                $base, $fraction,
            ], self::vacuum(...), 'target = sea-level target · p_atm / 101.325; air left = void · (p − '
                .'p_v)/(p_atm − p_v)',
                'ASHRAE/ICAO standard atmosphere; Boyle; Raoult.'),
            new Calculator('rinse', 'Rinse', [
                $capacity,
                Field::volume('retained', 'Stays inside', self::MOST_ML)->preset(1800.0),
                Field::fraction('old', 'Old coolant allowed', 0.001, 1.0)->preset(0.05),
            ], self::rinse(...), 'old share after n drains = '
                .'(retained/capacity)ⁿ', 'Perfect mixing: the thermostat opened each time.'),
            new Calculator('protection', 'Frost wanted', [
                $base, Field::temperature('frost', 'Must not freeze at', true, -48, 0)->preset(-30.0), $capacity,
            ],
                self::protection(...), 'the freeze table read the other way; glycol = capacity · share',
                'ASHRAE Handbook—Fundamentals, aqueous glycols, from memory.'),
            new Calculator('units', 'Units', [
                Field::text('value', 'Number and unit, as you would type it', true)->begin('7.9 qt'),
            ],
                self::units(...), 'value · exact factor; °F = 1.8 · °C + 32',
                'NIST SP 811, from memory: 1 inHg = 3.386389 kPa, 1 psi = 6.894757 kPa, 1 US gal = 3785.411784 mL.'),
            new Calculator('cool-down', 'Cool-down', [
                Field::temperature('now', 'Coolant now')->preset(92.0),
                Field::temperature('air', 'Air')->preset(20.0),
                Field::temperature('safe', 'Safe to open')->preset(45.0),
            ], self::coolDown(...), 'minutes = τ · ln((T − T_air)/(T_safe − T_air)), τ = 65 min',
                'Newton’s law of cooling; τ for an open hood is common practice, no source.'),
        ];

        return array_combine(array_map(fn (Calculator $c) => $c->name, $calculators), $calculators);
    }

    private static function mixture(Values $in): Answer
    {
        $capacity = max(1.0, (float) $in->number('capacity'));
        $retained = min((float) $in->number('retained'), $capacity);
        $mix = new Mix(
            Volume::millilitres($capacity),
            Volume::millilitres($retained),
            (float) $in->number('retained_fraction'),
            (float) $in->number('target'),
        );

        return new Answer([
            ['Concentrate', $mix->stock()->mL(), Dimension::Volume],
            ['Water', $mix->water()->mL(), Dimension::Volume],
            ['Bucket, all mixed outside', $mix->bucketFraction(), Unit::Percent],
            ['Circuit in the end', $mix->finalFraction(), Unit::Percent],
        ], $mix->reachable() ? 'On target.' : 'Out of reach: open another drain, or rinse less.');
    }

    private static function frost(Values $in): Answer
    {
        $fraction = (float) $in->number('fraction');
        $coolant = new Mixture(Glycol::from($in->text('base')), $fraction);
        $air = Atmosphere::atElevation(Length::millimetres((float) $in->number('elevation')));
        $under = Pressure::kilopascals($air->pressure->kPa() + (float) $in->number('cap'));

        return new Answer([
            [
                $coolant->freezeIsBound() ? 'Freezes below' : 'Freezes at',
                $coolant->freezePoint()->degC(),
                Dimension::Temperature,
            ],
            ['Boils at, here and under this cap', $coolant->boilingPoint($under)->degC(), Dimension::Temperature],
            ['Air pressure', $air->pressure->kPa(), Dimension::Pressure],
        ], $fraction > 0.6 ? 'Stronger than 60 % is not better: it carries less heat and freezes '
            .'earlier again.' : 'Stop a hot run 10 °C below boiling.');
    }

    private static function vacuum(Values $in): Answer
    {
        $plan = new VacuumPlan(
            Atmosphere::atElevation(Length::millimetres((float) $in->number('elevation'))),
            Pressure::kilopascals((float) $in->number('target')),
            Volume::millilitres(max(1.0, (float) $in->number('void'))),
            Volume::millilitres(0.0),
            Temperature::celsius((float) $in->number('temperature')),
            new Mixture(Glycol::from($in->text('base')), (float) $in->number('fraction')),
        );

        return new Answer([
            ['Pull to', $plan->target->kPa(), Unit::InchOfMercury],
            ['Absolute pressure then', $plan->absolute->kPa(), Dimension::Pressure],
            ['Circuit no warmer than', $plan->maximumTemperature()->degC(), Dimension::Temperature],
            ['It draws in', $plan->intake()->mL(), Dimension::Volume],
            ['Air left, under the neck', $plan->residualAir()->mL(), Dimension::Volume],
        ], $plan->attainable() ? 'Attainable.' : 'Too warm: the coolant’s own vapour holds the needle up. Cool '
            .'down first.');
    }

    private static function rinse(Values $in): Answer
    {
        $rinse = RinseChain::until(
            (float) $in->number('capacity'),
            (float) $in->number('retained'),
            (float) $in->number('old'),
        );

        return new Answer([
            ['Old coolant left', $rinse->oldFraction, Unit::Percent],
            ['Water needed', $rinse->waterMl, Dimension::Volume],
        ], $rinse->rinses === 0 ? 'No rinse: the first drain is enough.' : "{$rinse->rinses} × fill with "
            .'water and drain.');
    }

    private static function protection(Values $in): Answer
    {
        $share = Mixture::freezingAt(
            Glycol::from($in->text('base')),
            Temperature::celsius((float) $in->number('frost')),
        )
            ->volumeFraction;
        $capacity = (float) $in->number('capacity');

        return new Answer([
            ['Glycol by volume', $share, Unit::Percent],
            ['Concentrate in a circuit of this size', $share * $capacity, Dimension::Volume],
            ['Water', (1.0 - $share) * $capacity, Dimension::Volume],
        ], match (true) {
            $share < 0.4 => 'Less than 40 % leaves the inhibitor too thin: take 40 %.',
            $share > 0.6 => 'More than 60 % carries less heat and freezes earlier again: 60 % is the most.',
            default => 'Within the usual 40 to 60 %.',
        });
    }

    private static function units(Values $in): Answer
    {
        $text = $in->text('value');
        if (! preg_match('/^\s*[+\-−]?[\d.,]+\s*(\D.*)$/u', $text, $part) || ($unit = Unit::named($part[1])) === null) {
            throw new InvalidField('value', 'Type a number and a unit, for example 21 inHg, 3 qt, 180 °F or 15 ft·lb.');
        }
        try {
            $typed = Typed::parse($text, $unit);
        } catch (\InvalidArgumentException $problem) {
            throw new InvalidField('value', $problem->getMessage());
        }
        $all = array_filter($unit->dimension()->units(), fn (Unit $one) => $one !== Unit::Share);

        return new Answer(array_values(array_map(fn (Unit $one) => [$one->value, $typed->base, $one], $all)));
    }

    private static function coolDown(Values $in): Answer
    {
        $celsius = fn (string $name): Temperature => Temperature::celsius((float) $in->number($name));
        $wait = CoolDown::predict($celsius('air'), [new Reading(0.0, $celsius('now'))], $celsius('safe'));

        return new Answer([['Wait', $wait->minutesFromLast * 60.0, Unit::Minute]],
            'Read the temperature before a sealed cap is touched, whatever the clock says.');
    }

    /** @return array<string, string> */
    private static function bases(): array
    {
        return array_combine(
            array_column(Glycol::cases(), 'value'),
            array_map(fn (Glycol $g) => $g->label(), Glycol::cases()),
        );
    }
}
