<?php

declare(strict_types=1);

namespace App\Calculators;

use Aqbel\Core\Heat\CoolDown;
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

/** The calculators of the bench, each the very function a job uses. */
final class CalculatorList
{
    /**
     * @param  float  $elevationM  of the shop, where nothing else is typed
     * @return array<string, Calculator> by name
     */
    public static function all(float $elevationM): array
    {
        $base = Field::choice('base', 'Base', ['ethylene_glycol' => 'Ethylene glycol', 'propylene_glycol' => 'Propylene glycol'], 'ethylene_glycol');
        $fraction = Field::fraction('fraction', 'Glycol by volume', 0.0, 0.7)->preset(0.5);
        $elevation = Field::length('elevation', 'Elevation', -500_000, 5_000_000)->preset($elevationM * 1000)->in(Unit::Metre);
        $capacity = Field::volume('capacity', 'Circuit holds', 500_000)->preset(9000.0);
        $calculators = [
            new Calculator('mixture', 'Mixture', [$capacity, Field::volume('retained', 'Stays inside', 500_000)->preset(2600.0), Field::fraction('retained_fraction', 'of which glycol')->preset(0.0), Field::fraction('target', 'Glycol wanted', 0.0, 0.7)->preset(0.5)],
                self::mixture(...), 'concentrate = capacity · target − retained · its share; water = the rest', 'Conservation of volume and glycol.'),
            new Calculator('frost', 'Frost and boiling', [$base, $fraction, $elevation, Field::pressure('cap', 'Cap, 0 for open', 400)->preset(0.0)],
                self::frost(...), 'boils where xʷ · p_sat(T) = p; freezes by the table, monotone between its rows', 'Raoult; IAPWS-IF97 region 4; ASHRAE Handbook—Fundamentals, aqueous glycols, from memory.'),
            new Calculator('vacuum', 'Vacuum and elevation', [$elevation, Field::vacuum('target', 'Wanted at sea level')->preset(25 * 3.386389), Field::volume('void', 'Void', 500_000)->preset(8000.0), Field::temperature('temperature', 'Circuit at', true, -30, 120)->preset(20.0), $base, $fraction],
                self::vacuum(...), 'target = sea-level target · p_atm / 101.325; air left = void · (p − p_v)/(p_atm − p_v)', 'ASHRAE/ICAO standard atmosphere; Boyle; Raoult.'),
            new Calculator('rinse', 'Rinse', [$capacity, Field::volume('retained', 'Stays inside', 500_000)->preset(1800.0), Field::fraction('old', 'Old coolant allowed', 0.001, 1.0)->preset(0.05)],
                self::rinse(...), 'old share after n drains = (retained/capacity)ⁿ', 'Perfect mixing: the thermostat opened each time.'),
            new Calculator('protection', 'Frost wanted', [$base, Field::temperature('frost', 'Must not freeze at', true, -48, 0)->preset(-30.0), $capacity],
                self::protection(...), 'the freeze table read the other way; glycol = capacity · share', 'ASHRAE Handbook—Fundamentals, aqueous glycols, from memory.'),
            new Calculator('units', 'Units', [Field::text('value', 'Number and unit, as you would type it', true)->begin('7.9 qt')],
                self::units(...), 'value · exact factor; °F = 1.8 · °C + 32', 'NIST SP 811, from memory: 1 inHg = 3.386389 kPa, 1 psi = 6.894757 kPa, 1 US gal = 3785.411784 mL.'),
            new Calculator('cool-down', 'Cool-down', [Field::temperature('now', 'Coolant now')->preset(92.0), Field::temperature('air', 'Air')->preset(20.0), Field::temperature('safe', 'Safe to open')->preset(45.0)],
                self::coolDown(...), 'minutes = τ · ln((T − T_air)/(T_safe − T_air)), τ = 65 min', 'Newton’s law of cooling; τ for an open hood is common practice, no source.'),
        ];

        return array_combine(array_map(fn (Calculator $c) => $c->name, $calculators), $calculators);
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, array{float, Dimension|Unit}|string>
     */
    private static function mixture(array $in): array
    {
        $mix = new Mix(Volume::millilitres(max(1.0, $in['capacity'])), Volume::millilitres(min($in['retained'], $in['capacity'])), $in['retained_fraction'], $in['target']);

        return ['Concentrate' => [$mix->stock()->mL(), Dimension::Volume], 'Water' => [$mix->water()->mL(), Dimension::Volume], 'Bucket, all mixed outside' => [$mix->bucketFraction(), Unit::Percent], 'Circuit in the end' => [$mix->finalFraction(), Unit::Percent],
            'Verdict' => $mix->reachable() ? 'On target.' : 'Out of reach: open another drain, or rinse less.'];
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, array{float, Dimension|Unit}|string>
     */
    private static function frost(array $in): array
    {
        $coolant = new Mixture(Glycol::from($in['base']), $in['fraction']);
        $air = Atmosphere::atElevation(Length::millimetres($in['elevation']));

        return [$coolant->freezeIsBound() ? 'Freezes below' : 'Freezes at' => [$coolant->freezePoint()->degC(), Dimension::Temperature],
            'Boils at, here and under this cap' => [$coolant->boilingPoint(Pressure::kilopascals($air->pressure->kPa() + $in['cap']))->degC(), Dimension::Temperature],
            'Air pressure' => [$air->pressure->kPa(), Dimension::Pressure],
            'Verdict' => $in['fraction'] > 0.6 ? 'Stronger than 60 % is not better: it carries less heat and freezes earlier again.' : 'Stop a hot run 10 °C below boiling.'];
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, array{float, Dimension|Unit}|string>
     */
    private static function vacuum(array $in): array
    {
        $plan = new VacuumPlan(Atmosphere::atElevation(Length::millimetres($in['elevation'])), Pressure::kilopascals($in['target']), Volume::millilitres(max(1.0, $in['void'])), Volume::millilitres(0.0),
            Temperature::celsius($in['temperature']), new Mixture(Glycol::from($in['base']), $in['fraction']));

        return ['Pull to' => [$plan->target->kPa(), Unit::InchOfMercury], 'Absolute pressure then' => [$plan->absolute->kPa(), Dimension::Pressure], 'Circuit no warmer than' => [$plan->maximumTemperature()->degC(), Dimension::Temperature],
            'It draws in' => [$plan->intake()->mL(), Dimension::Volume], 'Air left, under the neck' => [$plan->residualAir()->mL(), Dimension::Volume],
            'Verdict' => $plan->attainable() ? 'Attainable.' : 'Too warm: the coolant’s own vapour holds the needle up. Cool down first.'];
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, array{float, Dimension|Unit}|string>
     */
    private static function rinse(array $in): array
    {
        $rinse = RinseChain::until($in['capacity'], $in['retained'], $in['old']);

        return ['Old coolant left' => [$rinse->oldFraction, Unit::Percent], 'Water needed' => [$rinse->waterMl, Dimension::Volume], 'Verdict' => $rinse->rinses === 0 ? 'No rinse: the first drain is enough.' : "{$rinse->rinses} × fill with water and drain."];
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, array{float, Dimension|Unit}|string>
     */
    private static function protection(array $in): array
    {
        $coolant = Mixture::freezingAt(Glycol::from($in['base']), Temperature::celsius($in['frost']));
        $share = $coolant->volumeFraction;

        return ['Glycol by volume' => [$share, Unit::Percent], 'Concentrate in a circuit of this size' => [$share * $in['capacity'], Dimension::Volume], 'Water' => [(1.0 - $share) * $in['capacity'], Dimension::Volume],
            'Verdict' => match (true) {
                $share < 0.4 => 'Less than 40 % leaves the inhibitor too thin: take 40 %.', $share > 0.6 => 'More than 60 % carries less heat and freezes earlier again: 60 % is the most.', default => 'Within the usual 40 to 60 %.'
            }];
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, array{float, Dimension|Unit}|string>
     */
    private static function units(array $in): array
    {
        if (! preg_match('/^\s*[+\-−]?[\d.,]+\s*(\D.*)$/u', $in['value'], $part) || ($unit = Unit::named($part[1])) === null) {
            throw new InvalidField('value', 'Type a number and a unit, for example 21 inHg, 3 qt, 180 °F or 15 ft·lb.');
        }
        try {
            $typed = Typed::parse($in['value'], $unit);
        } catch (\InvalidArgumentException $problem) {
            throw new InvalidField('value', $problem->getMessage());
        }
        $all = [];
        foreach (array_filter($unit->dimension()->units(), fn (Unit $one) => $one !== Unit::Share) as $one) {
            $all[$one->value] = [$typed->base, $one];
        }

        return $all;
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, array{float, Dimension|Unit}|string>
     */
    private static function coolDown(array $in): array
    {
        $wait = CoolDown::predict(Temperature::celsius($in['air']), [['t_min' => 0.0, 'temperature' => Temperature::celsius($in['now'])]], Temperature::celsius($in['safe']));

        return ['Wait' => [$wait->minutesFromLast * 60.0, Unit::Minute], 'Verdict' => 'Read the temperature before a sealed cap is touched, whatever the clock says.'];
    }
}
