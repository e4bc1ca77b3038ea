<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\Gate;
use Aqbel\Core\Circuit\Maker\Extra;
use Aqbel\Core\Circuit\Maker\Layout;
use Aqbel\Core\Circuit\Maker\Layouts;
use Aqbel\Core\Circuit\Maker\Maker;
use Aqbel\Core\Circuit\Maker\Question;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\InvalidField;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** A circuit from a layout and what a technician can know of a vehicle. */
final class MakerTest extends TestCase
{
    /** @return array<string, array{Layout}> */
    public static function layouts(): array
    {
        return array_map(fn (Layout $layout) => [$layout], Layouts::all());
    }

    #[DataProvider('layouts')]
    public function test_whatever_a_vehicle_has_the_circuit_is_whole_and_nothing_is_made_up(Layout $layout): void
    {
        foreach (self::choices($layout->extras) as $has) {
            $circuit = CircuitReader::read((new Maker($layout, $has))->document([]));
            self::assertEqualsWithDelta($layout->sketch($has)->capacityMl(), $circuit->capacityMl(), 5.0);
            self::assertNotSame([], $circuit->portsOf(PortKind::Drain), 'it can be drained');
            self::assertGreaterThan(
                0.3,
                Drainage::of($circuit, $circuit->portIds(PortKind::Drain), $circuit->usualGates())->drainedMl
                    / $circuit->capacityMl(),
            );
            foreach ($circuit->nodes as $node) {
                self::assertGreaterThan(0.0, $node->plusMinusMm, "{$node->id} was not measured");
            }
            foreach ($circuit->passages as $passage) {
                self::assertSame(0.10, $passage->plusMinus);
            }
            $facts = $circuit->facts;
            foreach (['capKpa', 'thermostatStartC', 'thermostatFullC', 'fanOnC', 'limitC', 'capacityMl'] as $fact) {
                self::assertNull($facts->{$fact}, "nobody said {$fact}");
            }
        }
    }

    /**
     * None, each alone, all.
     *
     * @param  list<Extra>  $extras
     * @return list<list<Extra>>
     */
    private static function choices(array $extras): array
    {
        return [[], $extras, ...array_map(fn (Extra $extra) => [$extra], $extras)];
    }

    public function test_there_are_the_families_of_the_trade_and_no_more_than_eight_heights(): void
    {
        $told = TopicList::answer('layouts', '{}')['layouts'];
        self::assertGreaterThanOrEqual(18, count($told));
        self::assertSame(array_unique(array_column($told, 'title')), array_column($told, 'title'));
        foreach (Layouts::all() as $layout) {
            $heights = array_filter(
                (new Maker($layout, $layout->extras))->questions(),
                fn (Question $question) => str_starts_with($question->id, 'z_'),
            );
            self::assertLessThanOrEqual(8, count($heights), $layout->id);
            self::assertGreaterThanOrEqual(3, count($heights), $layout->id);
        }
    }

    /** Every answer is in the circuit: as it was given, and surer than what nobody gave. */
    #[DataProvider('layouts')]
    public function test_every_answer_is_in_the_circuit(Layout $layout): void
    {
        $maker = new Maker($layout);
        $answers = [];
        foreach ($maker->questions() as $question) {
            $answers[$question->id] = match ($question->kind->value) {
                'height' => $question->usual + 17.0,
                'text' => "said of {$question->id}",
                'lines' => ['Pump on', 'Top up'],
                'choice' => $question->choices[1],
                'share' => 0.4,
                default => round(($question->least + min($question->most, 90.0)) / 2.0 + 11.0, 1),
            };
        }
        $answers = [
            ...$answers,
            'capacity_ml' => 9876.0,
            ...array_intersect_key(
                [
                    'thermostat_start_c' => 81.0,
                    'thermostat_full_c' => 93.0,
                    'fan_off_c' => 91.5,
                    'fan_on_c' => 96.0,
                    'limit_c' => 106.0,
                ],
                $answers,
            ),
        ];
        $circuit = CircuitReader::read($maker->document($answers));
        self::assertEqualsWithDelta(9876.0, $circuit->capacityMl(), 5.0);
        foreach ($answers as $id => $answer) {
            if (str_starts_with($id, 'z_')) {
                $node = $circuit->nodes[substr($id, 2)];
                self::assertSame([$answer, 10.0, null], [$node->zMm, $node->plusMinusMm, $node->follows]);
            } elseif (str_starts_with($id, 'torque_')) {
                self::assertSame($answer, $circuit->ports[substr($id, 7)]->torqueNm);
            }
        }
        self::assertSame(
            [
                $answers['cap_kpa'],
                $answers['limit_c'],
                'said of inhibitor',
                0.4,
                'said of cold_level',
                -$answers['below_neck_mm'],
            ],
            [
                $circuit->facts->capKpa,
                $circuit->facts->limitC,
                $circuit->facts->inhibitor,
                $circuit->facts->targetFraction,
                $circuit->facts->coldLevel,
                $circuit->facts->coldHeadMm,
            ],
        );
        self::assertCount(2, $circuit->facts->routine);
        $none = CircuitReader::read($maker->document([]));
        foreach (array_keys($circuit->nodes) as $id) {
            if ($none->nodes[$id]->follows === null) {
                self::assertLessThanOrEqual(
                    $none->nodes[$id]->plusMinusMm,
                    $circuit->nodes[$id]->plusMinusMm,
                    "{$id} is no less sure",
                );
            }
            self::assertEqualsWithDelta(
                17.0,
                $circuit->nodes[$id]->zMm - $none->nodes[$id]->zMm,
                0.2,
                "{$id} went along",
            );
        }
    }

    public function test_a_thermostat_lets_air_by_as_nearly_all_do_until_somebody_has_looked(): void
    {
        foreach (Layouts::all() as $layout) {
            $gate = fn (array $answers): ?Gate => CircuitReader::read((new Maker($layout, []))->document($answers))
                ->gates['thermostat'] ?? null;
            if ($gate([]) === null) {
                continue;
            }
            self::assertSame(
                [true, false],
                [$gate([])->weeps, $gate([])->sure],
                "{$layout->id}: common practice, no source",
            );
            self::assertSame(
                [true, true],
                [$gate(['jiggle_pin' => 'yes'])->weeps, $gate(['jiggle_pin' => 'yes'])->sure],
                $layout->id,
            );
            self::assertSame(
                [false, true],
                [$gate(['jiggle_pin' => 'no'])->weeps, $gate(['jiggle_pin' => 'no'])->sure],
                $layout->id,
            );
        }
    }

    public function test_of_a_circuit_made_before_it_was_asked_nobody_has_looked_either(): void
    {
        $made = (new Maker(Layouts::all()['radiator_cap'], []))->document(['jiggle_pin' => 'no']);
        $made['gates'] = array_map(fn (array $gate) => array_diff_key($gate, ['known_by' => '']), $made['gates']);
        $gates = CircuitReader::read($made)->gates;
        self::assertFalse($gates['thermostat']->sure);
        self::assertTrue($gates['heater_valve']->sure);
        self::assertTrue(Demo::circuit('school-minibus')->gates['thermostat']->sure, 'its own file is no layout');
    }

    public function test_a_height_measured_takes_along_what_is_fixed_to_it(): void
    {
        $maker = new Maker(Layouts::all()['expansion_tank']);
        $made = CircuitReader::read($maker->document(['z_heater_in' => 980, 'z_rad_bot' => 400, 'z_stat' => 820]));
        $usual = CircuitReader::read($maker->document([]));
        self::assertSame($usual->nodes['heater_bot']->zMm + 100.0, $made->nodes['heater_bot']->zMm);
        self::assertSame('heater_in', $made->nodes['heater_bot']->follows);
        // Between a radiator that is lower and a housing that is as it was.
        $shift = $made->nodes['pump']->zMm - $usual->nodes['pump']->zMm;
        self::assertGreaterThan(30.0, $shift);
        self::assertLessThan(60.0, $shift);
    }

    public function test_what_is_asked_by_nobody_and_what_cannot_be_is_refused_by_name(): void
    {
        foreach ([
            'layout' => ['layout' => 'steam_engine'],
            'has.0' => ['layout' => 'radiator_cap', 'has' => ['vent_line']],
            'answers.z_rear_in' => ['layout' => 'radiator_cap', 'answers' => ['z_rear_in' => 700]],
            'answers.cap_kpa' => ['layout' => 'radiator_cap', 'answers' => ['cap_kpa' => 9000]],
            'answers' => ['layout' => 'radiator_cap', 'answers' => 'none'],
            'answers.z_rad_top' => ['layout' => 'radiator_cap', 'answers' => ['z_rad_top' => 340, 'z_rad_bot' => 850]],
            'answers.capacity_ml' => ['layout' => 'large_engine', 'answers' => ['capacity_ml' => 500_000]],
            'answers.base' => ['layout' => 'radiator_cap', 'answers' => ['base' => 'whisky']],
        ] as $field => $input) {
            try {
                TopicList::answer('layout', (string) json_encode($input));
                self::fail($field);
            } catch (InvalidField $refused) {
                self::assertSame($field, $refused->field);
            }
        }
        $told = TopicList::answer(
            'layout',
            (string) json_encode(['layout' => 'radiator_cap', 'answers' => ['cap_kpa' => null, 'capacity_ml' => '']]),
        );
        self::assertArrayNotHasKey('cap_kpa', $told['circuit']['facts'], 'do not know is an answer');
    }

    /**
     * @return array<string, array{string, string, list<string>, array<string, mixed>}> demo
     * circuit, layout, what it has, what its manual and a tape say
     */
    public static function known(): array
    {
        return [
            'a van, tank at the bulkhead' => [
                'post-van',
                'two_bleeds',
                ['second_drain', 'vent_line'],
                ['capacity_ml' => 8950, 'jiggle_pin' => 'yes'],
            ],
            'a small tractor' => ['yard-tractor', 'small_twin', ['second_drain'], ['capacity_ml' => 2250]],
            'a bus with a rear heater' => ['school-minibus', 'rear_heater', ['second_drain'], ['capacity_ml' => 10710]],
        ];
    }

    /**
     * What it says of a vehicle it was never shown, from a dozen numbers: the whole
     * model's drains lie in its ranges, or within a twentieth.
     *
     * @param  list<string>  $has
     * @param  array<string, mixed>  $answers
     */
    #[DataProvider('known')]
    public function test_the_ranges_of_a_made_circuit_hold_the_whole_model(
        string $key,
        string $layout,
        array $has,
        array $answers,
    ): void {
        $real = Demo::circuit($key);
        foreach ((new Maker(Layouts::all()[$layout], array_map(Extra::from(...), $has)))->questions() as $question) {
            $node = $real->nodes[$question->node ?? '']
                ?? ($real->nodes[
                    ['heater_in' => 'front_in', 'rear_low' => 'floor_ret_rear'][$question->node ?? ''] ?? ''
                ]
                    ?? null);
            $answers += str_starts_with($question->id, 'z_') && $node !== null ? [$question->id => $node->zMm] : [];
        }
        $document = TopicList::answer(
            'layout',
            (string) json_encode(['layout' => $layout, 'has' => $has, 'answers' => $answers]),
        )['circuit'];
        $drains = array_values(array_intersect(['radiator_cock', 'petcock'], $real->portIds(PortKind::Drain)));
        $made = TopicList::answer(
            'ranges',
            (string) json_encode([
                'circuit' => $document,
                'choices' => ['drains' => ['radiator_cock'], 'bleeds' => []],
            ]),
        );
        $out = self::full($real, $drains);
        self::assertTrue(
            self::holds($made['drains'][0]['low_ml'], $made['drains'][0]['high_ml'], $out),
            "{$out} mL come out, told were {$made['drains'][0]['low_ml']} to {$made['drains'][0]['high_ml']}",
        );
        $air = Filling::of($real, $real->fillPort()->id, [], $real->usualGates())->airMl;
        self::assertTrue(
            self::holds($made['air_low_ml'], $made['air_high_ml'], $air),
            "{$air} mL of air stay, told were {$made['air_low_ml']} to {$made['air_high_ml']}",
        );
    }

    private static function holds(float $low, float $high, float $real): bool
    {
        return $real >= 0.95 * $low && $real <= 1.05 * $high;
    }

    /** @param  list<string>  $drains */
    private static function full(Circuit $real, array $drains): float
    {
        return Drainage::of($real, $drains, $real->usualGates())->drainedMl - $real->headspaceMl();
    }
}
