<?php

declare(strict_types=1);

namespace Tests\Core\Flow;

use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\RandomCircuit;

/** A fill on what no drain let out: where coolant stands there is no air. */
final class WhatStaysTest extends TestCase
{
    /** More air than came out, less what one cell holds at either end of each passage, mL. */
    private const A_FEW_CELLS_ML = 30.0;

    public function test_where_a_dip_between_two_humps_kept_its_coolant_no_air_is_caught(): void
    {
        // By hand: the dip keeps 100 mL in either leg. All else above the neck's leg is caught at 900 − 300 mm at most.
        $circuit = self::dipBetweenHumps();
        $drained = Drainage::of($circuit, ['cock']);
        self::assertEqualsWithDelta(200.0, $drained->retainedMl, 5.0);
        $compressed = 101.325 / (101.325 + 1.070 * 9.80665 * 0.6);
        $empty = Filling::of($circuit, 'fill')->airMl;
        $on = Filling::of($circuit, 'fill', inside: $drained->retained)->airMl;
        self::assertGreaterThan(1020.0 * $compressed - 1.0, $empty);
        self::assertLessThan(1020.0, $empty);
        self::assertEqualsWithDelta($empty - 200.0, $on, 15.0);
    }

    public function test_air_does_not_pass_a_dip_that_is_full(): void
    {
        // By hand, 1 mL/mm: with the dip empty three legs rise to 700 mm, and it runs over into the dip's near leg before
        // the screw runs. With the dip full the far leg is caught from the start, and two rise.
        $circuit = self::dipBetweenHumps();
        $stays = Drainage::of($circuit, ['cock'])->retained;
        $at = fn (Filling $fill): array => array_map(fn (PortRun $run) => [$run->port, round($run->atMl, -1)], $fill->flows);
        self::assertSame([['screw', 1300.0]], $at(Filling::of($circuit, 'fill', ['screw'])));
        self::assertSame([['screw', 800.0]], $at(Filling::of($circuit, 'fill', ['screw'], inside: $stays)));
    }

    public function test_a_port_that_stands_in_coolant_runs_when_the_surface_comes_to_it(): void
    {
        $circuit = CircuitReader::read([
            'format' => Circuit::FORMAT,
            'name' => 'a low bleed point',
            'nodes' => [
                ['id' => 'neck', 'x_mm' => 0, 'z_mm' => 900],
                ['id' => 'hump', 'x_mm' => 0, 'z_mm' => 600],
                ['id' => 'low', 'x_mm' => 0, 'z_mm' => 300],
                ['id' => 'end', 'x_mm' => 0, 'z_mm' => 800],
            ],
            'passages' => [
                ['id' => 'down', 'from' => 'neck', 'to' => 'hump', 'volume_ml' => 300],
                ['id' => 'dip', 'from' => 'hump', 'to' => 'low', 'volume_ml' => 300],
                ['id' => 'up', 'from' => 'low', 'to' => 'end', 'volume_ml' => 500],
            ],
            'ports' => [
                ['id' => 'fill', 'node' => 'neck', 'kind' => 'fill'],
                ['id' => 'screw', 'node' => 'low', 'kind' => 'bleed'],
                ['id' => 'vent', 'node' => 'end', 'kind' => 'bleed'],
            ],
        ]);
        $stays = new Volumes(['dip' => 150.0, 'up' => 150.0]);
        $fill = Filling::of($circuit, 'fill', ['screw', 'vent'], inside: $stays);
        self::assertSame(['screw', 'vent'], array_map(fn (PortRun $run) => $run->port, $fill->flows));
        self::assertEqualsWithDelta(0.0, $fill->flows[0]->atMl, 20.0);
        // Both legs from 450 to 800 mm: 150 mL of the dip, 150 to the hump and 200 above it, and the same under the neck.
        self::assertEqualsWithDelta(150.0 + 350.0 + 200.0, $fill->flows[1]->atMl, 25.0);
        self::assertSame([], $fill->silent);
    }

    public function test_no_more_air_than_came_out_in_any_circuit(): void
    {
        foreach (self::random() as $name => [$circuit, $drained]) {
            $fill = self::fill($circuit, $drained->retained);
            self::assertLessThanOrEqual(
                $drained->drainedMl + self::A_FEW_CELLS_ML,
                $fill->airMl + $fill->headspaceMl,
                $name,
            );
            $before = 0.0;
            foreach ($fill->flows as $run) {
                self::assertGreaterThanOrEqual($before, $run->atMl, $name);
                $before = $run->atMl;
            }
            self::assertLessThanOrEqual($drained->drainedMl + 1.0, $before, "{$name}: all that runs has gone in");
        }
    }

    public function test_where_all_of_it_stays_there_is_no_air_and_where_nothing_does_it_is_the_pour_of_before(): void
    {
        foreach (self::random() as $name => [$circuit]) {
            self::assertEqualsWithDelta(0.0, self::fill($circuit, Volumes::full($circuit))->airMl, 1e-6, $name);
            self::assertEquals(
                Filling::of($circuit, 'fill', ['b0', 'b1'], array_keys($circuit->gates)),
                self::fill($circuit, new Volumes),
                $name,
            );
        }
    }

    public function test_halving_the_cells_changes_less_than_one_percent_of_capacity(): void
    {
        foreach (self::random() as $name => [$circuit, $drained]) {
            self::assertEqualsWithDelta(
                self::fill($circuit, $drained->retained)->airMl,
                self::fill($circuit, $drained->retained, 0.5)->airMl,
                0.01 * $circuit->capacityMl(),
                $name,
            );
        }
    }

    public function test_scripts_give_what_a_drain_answered_to_the_fill_after_it(): void
    {
        $van = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/post-van.json'), true)['circuit'];
        $ask = fn (string $topic, array $in): array => TopicList::answer(
            $topic,
            (string) json_encode(['circuit' => $van, 'open_gates' => ['heater'], ...$in]),
        );
        $stays = $ask('drain', ['open' => ['petcock']])['retained'];
        $pour = ['at' => 'neck', 'open' => [], 'head_mm' => -60];
        // Its heater core holds 656 of 700 mL: what an empty circuit traps there cannot be all air.
        self::assertGreaterThan(1300.0, $ask('fill', $pour)['air_ml']);
        self::assertLessThan(1000.0, $ask('fill', [...$pour, 'retained' => $stays])['air_ml']);
    }

    #[DataProvider('noVolumes')]
    public function test_what_stays_in_no_passage_is_refused(array $retained, string $field): void
    {
        $van = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/post-van.json'), true)['circuit'];
        try {
            TopicList::answer('fill', (string) json_encode(['circuit' => $van, 'at' => 'neck', 'retained' => $retained]));
            self::fail('accepted');
        } catch (InvalidField|InvalidFields $invalid) {
            self::assertSame($field, $invalid instanceof InvalidFields ? $invalid->all[0]->field : $invalid->field);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function noVolumes(): iterable
    {
        yield 'no such passage' => [['nowhere' => 1], 'retained.nowhere'];
        yield 'more than it holds' => [['block_low' => 701], 'retained.block_low'];
        yield 'less than nothing' => [['block_low' => -1], 'retained.block_low'];
        yield 'a word' => [['block_low' => 'full'], 'retained.block_low'];
    }

    private static function fill(Circuit $circuit, Volumes $inside, float $coarseness = 1.0): Filling
    {
        return Filling::of(
            $circuit,
            'fill',
            ['b0', 'b1'],
            array_keys($circuit->gates),
            coarseness: $coarseness,
            inside: $inside,
        );
    }

    /** @return iterable<string, array{Circuit, Drainage}> */
    private static function random(): iterable
    {
        for ($seed = 0; $seed < 60; $seed++) {
            foreach ([[RandomCircuit::make($seed), ['d0', 'd1']], [RandomCircuit::terraced($seed), ['b0']]] as [$circuit, $by]) {
                $drained = Drainage::of($circuit, $by, array_keys($circuit->gates), 0.0, ['b0', 'b1']);
                yield "{$circuit->name}, ".count($by) => [$circuit, $drained];
            }
        }
    }

    private static function dipBetweenHumps(): Circuit
    {
        return CircuitReader::read([
            'format' => Circuit::FORMAT,
            'name' => 'a dip between two humps',
            'nodes' => [
                ['id' => 'neck', 'x_mm' => 0, 'z_mm' => 900],
                ['id' => 'low', 'x_mm' => 0, 'z_mm' => 300],
                ['id' => 'hump', 'x_mm' => 0, 'z_mm' => 700],
                ['id' => 'dip', 'x_mm' => 0, 'z_mm' => 600],
                ['id' => 'higher', 'x_mm' => 0, 'z_mm' => 710],
            ],
            'passages' => [
                ['id' => 'leg', 'from' => 'neck', 'to' => 'low', 'volume_ml' => 600],
                ['id' => 'climb', 'from' => 'low', 'to' => 'hump', 'volume_ml' => 400],
                ['id' => 'fall', 'from' => 'hump', 'to' => 'dip', 'volume_ml' => 100],
                ['id' => 'rise', 'from' => 'dip', 'to' => 'higher', 'volume_ml' => 110],
                ['id' => 'back', 'from' => 'higher', 'to' => 'low', 'volume_ml' => 410],
            ],
            'ports' => [
                ['id' => 'fill', 'node' => 'neck', 'kind' => 'fill'],
                ['id' => 'screw', 'node' => 'hump', 'kind' => 'bleed'],
                ['id' => 'cock', 'node' => 'low', 'kind' => 'drain'],
            ],
        ]);
    }
}
