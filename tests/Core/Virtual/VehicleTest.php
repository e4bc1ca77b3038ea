<?php

declare(strict_types=1);

namespace Tests\Core\Virtual;

use App\Calc\TopicList;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Virtual\Action;
use Aqbel\Core\Virtual\Faults;
use Aqbel\Core\Virtual\Trace;
use Aqbel\Core\Virtual\Vehicle;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** The vehicle that is not there, held against what must be so. */
final class VehicleTest extends TestCase
{
    public function test_with_its_thermostat_shut_it_follows_the_closed_form_exponential(): void
    {
        $stored = fn (float $seconds): float => $this->run_('taxi-engine', ['thermostat:shut'], $seconds, [
            new Action(0.0, 'heater', 0.0),
        ])->energyKj['stored'];
        // Stored heat = C·P/k·(1 − e^(−k·t/C)): at equal times its differences
        // shrink by one ratio, and the first is nearly P·t.
        $heat = array_map($stored, [0.5, 300.5, 600.5, 900.5, 1200.5]);
        $gained = array_map(fn (int $i): float => $heat[$i + 1] - $heat[$i], range(0, 3));
        foreach ([1, 2, 3] as $i) {
            self::assertEqualsWithDelta($gained[1] / $gained[0], $gained[$i] / $gained[$i - 1], 0.0005);
        }
        self::assertEqualsWithDelta(6.0 * 300.0, $gained[0], 0.1 * 6.0 * 300.0);
        $trace = $this->run_('taxi-engine', ['thermostat:shut'], 1200.0, [new Action(0.0, 'heater', 0.0)]);
        self::assertNull($trace->openedAtS);
        self::assertLessThan(25.0, max(array_column($trace->channels['far_side_c'], 1)));
    }

    public function test_energy_in_is_stored_and_lost_and_volume_is_conserved(): void
    {
        foreach (Demo::keys() as $key) {
            $trace = $this->run_($key, ['leak:6'], 2400.0, [
                new Action(600.0, 'rpm', 2000.0),
                new Action(900.0, 'rpm', 800.0),
                new Action(1500.0, 'stop'),
                new Action(1800.0, 'pour', 300.0),
            ]);
            self::assertEqualsWithDelta(
                $trace->energyKj['in'],
                $trace->energyKj['stored'] + $trace->energyKj['lost'],
                0.001 * $trace->energyKj['in'],
                $key,
            );
            $before = $this->run_($key, [], 0.5)->contentMl;
            self::assertEqualsWithDelta($before + $trace->pouredMl - $trace->lostMl, $trace->contentMl, 0.01, $key);
        }
    }

    public function test_the_same_seed_gives_the_same_trace_to_the_byte_and_another_does_not(): void
    {
        $ask = [
            'circuit' => Demo::document('post-van'),
            'seed' => 7,
            'seconds' => 300,
            'actions' => [[0, 'start', 800]],
        ];
        $told = fn (array $in): string => (string) json_encode(TopicList::answer('virtual', (string) json_encode($in)));
        self::assertSame($told($ask), $told($ask));
        self::assertNotSame($told($ask), $told([...$ask, 'seed' => 8]));
    }

    public function test_it_opens_its_thermostat_turns_its_fan_and_warms_its_heater(): void
    {
        $trace = $this->run_('taxi-engine', [], 3000.0);
        $facts = Demo::circuit('taxi-engine')->facts;
        self::assertNotNull($trace->openedAtS);
        $opened = $trace->channels['coolant_c'][(int) $trace->openedAtS][1];
        self::assertTrue(
            $opened >= ($facts->thermostatStartC ?? 0.0) - 1.0 && $opened <= ($facts->thermostatFullC ?? 0.0) + 3.0,
            "opened at {$opened}",
        );
        self::assertGreaterThanOrEqual(2, count($trace->fanOnS));
        self::assertGreaterThanOrEqual(1, count($trace->fanOffS));
        self::assertGreaterThan(45.0, max(array_column($trace->channels['outlet_c'], 1)));
        // With its pocket at the heater the outlet stays cold for long, and its air leaves with revs.
        $cold = $this->run_('taxi-engine', ['pocket:heater'], 900.0);
        $gain = fn (string $channel, int $second): float => $cold->channels[$channel][$second][1]
            - $cold->channels[$channel][0][1];
        self::assertLessThan(0.2 * $gain('coolant_c', 180), $gain('outlet_c', 180));
        self::assertLessThan(
            $this->run_('taxi-engine', ['pocket:heater'], 900.0)->airMl,
            $this->run_('taxi-engine', ['pocket:heater'], 900.0, [new Action(300.0, 'rpm', 2500.0)])->airMl,
        );
    }

    public function test_a_pulled_vacuum_falls_by_its_leak_and_settles_without(): void
    {
        $pull = [new Action(0.0, 'drain', 5000.0), new Action(1.0, 'pull', 24.0)];
        $tight = array_column($this->run_('taxi-engine', [], 900.0, $pull, false)->channels['vacuum_inhg'], 1);
        $leaks = array_column($this->run_('taxi-engine', ['leak:60'], 900.0, $pull, false)->channels['vacuum_inhg'], 1);
        self::assertLessThanOrEqual(1.0, $tight[0] - $tight[count($tight) - 1]);
        self::assertGreaterThan(3.0, $leaks[0] - $leaks[count($leaks) - 1]);
    }

    public function test_a_fault_or_an_action_it_does_not_know_is_refused_by_name(): void
    {
        foreach (
            ['gremlins:3' => 'faults.0', 'thermostat:tired' => 'faults.0', 'leak:much' => 'faults.0'] as $fault => $field
        ) {
            try {
                Faults::of([$fault]);
                self::fail($fault);
            } catch (InvalidField $invalid) {
                self::assertSame($field, $invalid->field);
            }
        }
        $this->expectException(InvalidField::class);
        TopicList::answer(
            'virtual',
            (string) json_encode(['circuit' => Demo::document('post-van'), 'seconds' => 10, 'actions' => [[0, 'fly']]]),
        );
    }

    /**
     * @param  list<string>  $faults
     * @param  list<Action>  $actions
     */
    private function run_(string $key, array $faults, float $seconds, array $actions = [], bool $starts = true): Trace
    {
        $air = Atmosphere::atElevation(Length::metres(410.0));

        return Vehicle::run(
            Demo::circuit($key),
            Faults::of($faults),
            1,
            $air,
            18.0,
            [...$starts ? [new Action(0.0, 'start')] : [], ...$actions],
            $seconds,
        );
    }
}
