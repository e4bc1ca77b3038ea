<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Maker;

/** The layouts a circuit is begun from. A new one is one entry here. */
final class Layouts
{
    private const OF_A_CAR = [Extra::RearHeater, Extra::SecondDrain, Extra::Tee, Extra::Cooler, Extra::SecondLoop];

    /** @return array<string, Layout> by id */
    public static function all(): array
    {
        $tank = [...self::OF_A_CAR, Extra::VentLine];
        $cap = [...self::OF_A_CAR, Extra::RecoveryBottle];
        $layouts = [
            new Layout('radiator_cap', 'Radiator cap with recovery bottle', fn () => self::capCar(), $cap),
            new Layout('expansion_tank', 'Pressurised expansion tank', fn () => self::tankCar(), $tank),
            new Layout(
                'bleed_thermostat',
                'Bleed screw on the thermostat housing',
                fn () => self::tankCar()->bleed('stat', 'Thermostat housing screw'),
                $tank,
            ),
            new Layout(
                'bleed_radiator',
                'Bleed screw on the radiator',
                fn () => self::tankCar()->bleed('rad_top', 'Radiator bleed screw'),
                $tank,
            ),
            new Layout(
                'bleed_heater_hose',
                'Bleed point in a heater hose',
                function (): Sketch {
                    $sketch = self::tankCar();
                    $sketch->tee();

                    return $sketch;
                }, array_values(array_diff_key($tank, [2 => true]))),
            new Layout('two_bleeds', 'Two bleed points or more', fn () => self::tankCar()
                ->bleed('stat', 'Thermostat housing screw')->bleed('rad_top', 'Radiator bleed screw'), $tank),
            new Layout('no_bleed', 'No bleed point, radiator cap', fn () => self::capCar(), self::OF_A_CAR),
            new Layout('vent_line', 'Permanent vent line to the tank', function (): Sketch {
                $sketch = self::tankCar();
                $sketch->ventLine();

                return $sketch;
            },
                self::OF_A_CAR,
            ),
            new Layout(
                'thermostat_at_pump',
                'Thermostat at the pump inlet',
                fn () => (new Sketch(2600))
                    ->engine(200, 430, 820)
                    ->radiator(700, 340, 780, thermostatAtThePump: true)
                    ->heater(-250, 880)
                    ->tank(350, 790, 940),
                $tank,
            ),
            new Layout(
                'rear_heater',
                'Rear heater',
                function (): Sketch {
                    $sketch = self::capCar(3200);
                    $sketch->rearHeater();

                    return $sketch->bleed('stat', 'Thermostat housing screw');
                },
                [Extra::SecondDrain, Extra::Tee, Extra::Cooler, Extra::RecoveryBottle],
            ),
            new Layout(
                'v_engine',
                'V engine, a drain per bank',
                fn () => (new Sketch(3400))
                    ->twoBanks(150, 480, 930)
                    ->radiator(800, 420, 900, 3.4)
                    ->heater(-300, 1000)
                    ->tank(400, 900, 1060, 1.8)
                    ->bleed('stat', 'Thermostat housing screw'),
                [Extra::RearHeater, Extra::Tee, Extra::Cooler, Extra::VentLine],
            ),
            new Layout(
                'oil_cooler',
                'Engine oil cooler in the loop',
                function (): Sketch {
                    $sketch = self::tankCar();
                    $sketch->cooler();

                    return $sketch->bleed('stat', 'Thermostat housing screw');
                },
                [Extra::RearHeater, Extra::SecondDrain, Extra::Tee, Extra::VentLine],
            ),
            new Layout(
                'rear_engine',
                'Mid or rear engine with long pipes',
                fn () => (new Sketch(2700))
                    ->engine(-2300, 480, 850, 2.6)
                    ->radiator(650, 360, 700)
                    ->heater(-400, 780)
                    ->tank(-2200, 900, 1050)
                    ->longPipes(-1900, 450)
                    ->bleed('rad_top', 'Radiator bleed screw')
                    ->bleed('heater_in', 'Heater bleed screw'),
                [Extra::SecondDrain, Extra::Cooler],
            ),
            new Layout(
                'large_engine',
                'Large engine with exchanger, day tank and turbo vents',
                fn () => self::largeEngine(),
            ),
            new Layout(
                'small_twin',
                'Small twin-cylinder machine',
                fn () => (new Sketch(1250))
                    ->engine(-80, 420, 675, 0.85)
                    ->radiator(180, 400, 690, 1.1)
                    ->cap(180, 720)
                    ->fact('fan_on_c', null),
                [Extra::SecondDrain],
            ),
            new Layout(
                'compact_loader',
                'Compact loader, drained at a hose',
                fn () => (new Sketch(1500))
                    ->engine(-850, 720, 1210, 2.4)
                    ->radiator(-1300, 700, 1150, 2.4, cock: false)
                    ->heater(-200, 1100)
                    ->tank(-1200, 1090, 1240),
                [Extra::Tee, Extra::Cooler, Extra::SecondDrain],
            ),
            new Layout('hybrid_loop', 'Low-temperature loop of a hybrid, electric pump', fn () => self::coldLoop()),
            new Layout(
                'upper_hose',
                'Block filled through the upper hose',
                fn () => self::capCar()->upperHoseEnd(),
                $cap,
            ),
            new Layout(
                'electric_pump',
                'Electric coolant pump with a service routine',
                fn () => self::tankCar()->electricPump(),
                $tank,
            ),
        ];

        return array_combine(array_map(fn (Layout $layout) => $layout->id, $layouts), $layouts);
    }

    private static function tankCar(): Sketch
    {
        return (new Sketch(2600))
            ->engine(200, 430, 820)
            ->radiator(700, 340, 780)
            ->heater(-250, 880)
            ->tank(350, 790, 940);
    }

    private static function capCar(float $wheelbaseMm = 2600): Sketch
    {
        return (new Sketch($wheelbaseMm))
            ->engine(200, 430, 820)
            ->radiator(700, 340, 850)
            ->cap(700, 885)
            ->heater(-250, 860);
    }

    private static function largeEngine(): Sketch
    {
        $sketch = (new Sketch(4200))
            ->node('rad_bot', 700, 750, 'Exchanger, bottom', ask: 'Exchanger, lower pipe')
            ->node('rad_top', 900, 1250, 'Exchanger, top', ask: 'Exchanger, upper pipe')
            ->node('pump', 350, 800, 'Water pump', ['rad_bot', 'rad_top'])
            ->node('manifold', 150, 1480, 'Outlet manifold', ask: 'Outlet manifold, its vent')
            ->passage('exchanger', 'rad_top', 'rad_bot', 14000, 'cooler', 'Heat exchanger')
            ->passage('suction', 'rad_bot', 'pump', 4500, 'hose', 'Pump suction')
            ->passage('to_exchanger', 'manifold', 'rad_top', 3300, 'hose', 'Exchanger feed')
            ->gate('thermostat', 'to_exchanger', 'thermostat', 'Thermostats', true);
        foreach (['left' => [-300.0, 520.0], 'right' => [-500.0, 515.0]] as $side => [$x, $z]) {
            $name = ucfirst($side);
            $sketch
                ->node("{$side}_low", $x, $z, "{$name} cock", ask: "{$name} jacket cock")
                ->node("{$side}_mid", $x - 300, 900, "{$name} bank", ["{$side}_low", 'manifold'])
                ->node("{$side}_head", $x - 250, 1350, "{$name} heads", ["{$side}_low", 'manifold'])
                ->node("turbo_{$side}", $x - 600, 1720, "{$name} turbo", ask: "{$name} turbo, its vent")
                ->passage("{$side}_jacket", 'pump', "{$side}_low", 3000, 'block', "{$name} lower jacket")
                ->passage("{$side}_block", "{$side}_low", "{$side}_mid", 8500, 'block', "{$name} bank")
                ->passage("{$side}_heads", "{$side}_mid", "{$side}_head", 6000, 'head', "{$name} heads")
                ->passage("{$side}_out", "{$side}_head", 'manifold', 1600, 'head', 'Outlet manifold')
                ->passage("turbo_line_{$side}", "{$side}_mid", "turbo_{$side}", 700, 'line', "{$name} turbo line")
                ->port("{$side}_cock", "{$side}_low", 'drain', "{$name} jacket cock")
                ->bleed("turbo_{$side}", "{$name} turbo vent cock");
        }

        return $sketch
            ->bleed('manifold', 'Manifold vent cock')
            ->port('exchanger_plug', 'rad_bot', 'drain', 'Exchanger plug')
            ->tank(300, 2000, 2500, 10.0, 'Day tank')
            ->fact('cold_level', 'the sight glass of the day tank, half')
            ->fact('stationary', true)
            ->fact('thermostat_far_side', 'heat exchanger inlet');
    }

    private static function coldLoop(): Sketch
    {
        return (new Sketch(2700))
            ->node('rad_top', 860, 640, 'Radiator, top', ask: 'Radiator, upper hose')
            ->node('rad_bot', 860, 340, 'Radiator, bottom', ask: 'Radiator, lower hose')
            ->node('pump', 700, 380, 'Electric coolant pump', ['rad_bot', 'rad_top'])
            ->node('motor_low', 300, 370, 'Drive, foot', ['rad_bot', 'inverter_out'])
            ->node('motor_high', 380, 520, 'Drive, top', ['rad_bot', 'inverter_out'])
            ->node('inverter_out', 250, 660, 'Inverter, its screw', ask: 'Inverter, its bleed screw')
            ->node('inverter_in', 420, 640, 'Inverter, far end', ['inverter_out'])
            ->passage('radiator', 'rad_top', 'rad_bot', 800, 'radiator', 'Radiator')
            ->passage('suction', 'rad_bot', 'pump', 160, 'hose', 'Pump hose')
            ->passage('feed', 'pump', 'motor_low', 220, 'hose', 'Feed hose')
            ->passage('drive', 'motor_low', 'motor_high', 420, 'block', 'Drive jacket')
            ->passage('bridge', 'motor_high', 'inverter_out', 120, 'hose', 'Bridge hose')
            ->passage('inverter', 'inverter_out', 'inverter_in', 350, 'cooler', 'Inverter')
            ->passage('return', 'inverter_in', 'rad_top', 240, 'hose', 'Return hose')
            ->tank(540, 760, 870, 0.45)
            ->port('hose_end', 'rad_bot', 'drain', 'Lower hose end')
            ->bleed('inverter_out', 'Inverter screw')
            ->fact('heater_drive', 'none')
            ->fact('high_voltage', true);
    }
}
