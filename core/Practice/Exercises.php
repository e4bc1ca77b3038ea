<?php

declare(strict_types=1);

namespace Aqbel\Core\Practice;

/** Ten exercises, from a first fill to two faults at once. */
final class Exercises
{
    private const TIGHTNESS = ['leak', 'opened', 'lost', 'falls'];

    /** @return list<Exercise> the easiest first */
    public static function all(): array
    {
        return [
            new Exercise(
                'first-fill',
                1,
                'A first fill',
                'The tractor is drained and closed up. Mix its coolant, fill it, run it and sign it.',
                'yard-tractor',
                'gravity',
                'mix',
                'sign_off',
                [],
                [],
                'Nothing was wrong with it.',
                420,
            ),
            new Exercise(
                'first-warm-up',
                2,
                'A first warm-up',
                'Filled and tight. Start it, watch it warm up, and shut it off when everything is shown.',
                'post-van',
                'gravity',
                'heat_cycle:1',
                'heat_cycle:1',
                [],
                [],
                'Nothing was wrong with it: thermostat, heater and fan all showed.',
                30,
            ),
            new Exercise(
                'vacuum-that-holds',
                3,
                'Pulled down and held',
                'Closed up, the batch is mixed. Pull it down, hold it, and say whether it is tight.',
                'rescue-ambulance',
                'vacuum',
                'set_up_vacuum',
                'hold:1',
                [],
                [],
                'It was tight. A vacuum eases a little while hoses give way; that is no leak.',
                25,
            ),
            new Exercise(
                'vacuum-that-falls',
                4,
                'Another vacuum',
                'Closed up, the batch is mixed. Pull it down, hold it, and say whether it is tight.',
                'rescue-ambulance',
                'vacuum',
                'set_up_vacuum',
                'hold:1',
                ['leak:25'],
                self::TIGHTNESS,
                'A joint let air in: the gauge went on falling where a tight circuit settles.',
                25,
            ),
            new Exercise(
                'pressure-that-falls',
                5,
                'Pressed cold',
                'Filled by gravity. Press it cold before anything is run.',
                'post-van',
                'gravity',
                'pressure_test',
                'pressure_test',
                ['leak:40'],
                self::TIGHTNESS,
                'A drip: pressure went on falling after the hoses had given way.',
                15,
            ),
            new Exercise(
                'air-in-the-heater',
                6,
                'A winter morning',
                'Filled and tight, the customer waits for a warm cab. Run it hot.',
                'post-van',
                'gravity',
                'heat_cycle:1',
                'heat_cycle:1',
                ['pocket:heater'],
                ['heater_watch', 'heater_cold'],
                'Air stood in the heater core. Revs let it through, or it had to be shut off.',
                40,
            ),
            new Exercise(
                'thermostat-shut',
                7,
                'An easy one',
                'A new thermostat, filled and tight. Run it hot.',
                'taxi-engine',
                'gravity',
                'heat_cycle:1',
                'heat_cycle:1',
                ['thermostat:shut'],
                ['thermostat_shut', 'limit', 'heater_cold'],
                'The thermostat stayed shut: the engine climbed, its far side stayed cold.',
                25,
            ),
            new Exercise(
                'fan-dead',
                8,
                'A warm afternoon',
                'A new radiator with its fan, filled and tight. Run it hot.',
                'post-van',
                'gravity',
                'heat_cycle:1',
                'heat_cycle:1',
                ['fan:dead'],
                ['limit'],
                'The fan never ran: past its temperature nothing took the heat away.',
                40,
            ),
            new Exercise(
                'air-at-the-sensor',
                9,
                'Quick to warm up',
                'A new head gasket, filled and tight. Run it hot.',
                'taxi-engine',
                'gravity',
                'heat_cycle:1',
                'heat_cycle:1',
                ['pocket:sensor'],
                ['sensor_in_air', 'thermostat_shut', 'limit', 'heater_cold'],
                'The sensor stood in air, and read far less than the engine was.',
                30,
            ),
            new Exercise(
                'two-faults',
                10,
                'More than one',
                'Filled and tight. Run it hot, and trust nothing.',
                'rescue-ambulance',
                'gravity',
                'heat_cycle:1',
                'heat_cycle:1',
                ['pocket:heater', 'fan:dead'],
                ['heater_watch', 'heater_cold', 'limit'],
                'Air in the heater core, and a fan that never ran.',
                45,
            ),
        ];
    }

    public static function of(string $id): ?Exercise
    {
        foreach (self::all() as $exercise) {
            if ($exercise->id === $id) {
                return $exercise;
            }
        }

        return null;
    }
}
