<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Plan\Worth;
use PHPUnit\Framework\TestCase;
use Tests\Demo;
use Tests\RandomCircuit;

/** Which drains pay, and in which order. */
final class DrainWorthTest extends TestCase
{
    public function test_what_was_opened_decides_what_must_be_drained(): void
    {
        $sweeper = Demo::circuit('footpath-sweeper');
        $verdicts = fn (array $opened, bool $all): array => array_column(
            array_map(fn (DrainWorth $w) => [$w->port->id, $w->verdict], DrainWorth::of($sweeper, $opened, $all)),
            1,
            0,
        );
        self::assertSame(
            ['radiator_cock' => Worth::Must, 'pipe_plug' => Worth::Leave],
            $verdicts(['lower_hose'], false),
        );
        self::assertSame(
            Worth::Pays,
            $verdicts([], true)['radiator_cock'],
            'at a change the more comes out, the better',
        );
        $groomer = DrainWorth::of(Demo::circuit('piste-groomer'), [], true);
        self::assertSame(
            ['radiator_cock'],
            DrainWorth::recommended($groomer),
            '2.5 L behind the belly plate are not worth 21 minutes',
        );
        self::assertSame(['belly'], $groomer[1]->covers);
        $loader = DrainWorth::of(Demo::circuit('compact-loader'), ['lower_hose'], false);
        self::assertSame(
            [4.0, []],
            [$loader[0]->minutes, $loader[0]->covers],
            'the belly plate is off for the hose already',
        );
    }

    public function test_drains_taken_in_the_order_of_worth_let_out_what_they_say(): void
    {
        foreach ([
            'rescue-ambulance', 'school-minibus', 'standby-generator', 'footpath-sweeper', 'yard-tractor',
        ] as $key) {
            $circuit = Demo::circuit($key);
            $worth = DrainWorth::of($circuit, [], true);
            $opened = DrainWorth::recommended($worth);
            $sum = array_sum(
                array_map(fn (DrainWorth $w) => in_array($w->port->id, $opened, true) ? $w->volumeMl : 0.0, $worth),
            );
            self::assertEqualsWithDelta(
                Drainage::of($circuit, $opened, $circuit->usualGates())->drainedMl,
                $sum,
                0.01 * $circuit->capacityMl(),
                $key,
            );
            foreach ($worth as $w) {
                self::assertGreaterThanOrEqual(0.0, $w->volumeMl);
            }
        }
    }

    public function test_worth_never_invents_coolant_and_a_must_keeps_its_part_dry(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $circuit = RandomCircuit::make($seed);
            $parts = array_slice(array_keys($circuit->passages), 0, 3);
            $worth = DrainWorth::of($circuit, $parts, $seed % 2 === 0);
            $open = DrainWorth::recommended($worth);
            self::assertLessThanOrEqual(
                $circuit->capacityMl() + 1.0,
                array_sum(
                    array_map(fn (DrainWorth $w) => in_array($w->port->id, $open, true) ? $w->volumeMl : 0.0, $worth),
                ),
                "seed {$seed}",
            );
            self::assertCount(count($circuit->portIds(PortKind::Drain)), $worth);
            $after = Drainage::of($circuit, $open, $circuit->usualGates())->retained;
            foreach ($worth as $one) {
                self::assertGreaterThanOrEqual(0.0, $one->volumeMl);
                foreach ($one->keepsDry as $part) {
                    self::assertLessThan(
                        0.75 * $circuit->passages[$part]->volumeMl,
                        $after->in($part),
                        "seed {$seed}: {$part} still stands full",
                    );
                }
            }
            $below = DrainWorth::belowHeadspace($worth, 500.0);
            self::assertLessThanOrEqual(
                500.0 + 1e-6,
                array_sum(
                    array_map(fn (DrainWorth $w) => $w->volumeMl, $worth),
                ) - array_sum(array_map(fn (DrainWorth $w) => $w->volumeMl, $below)),
            );
        }
    }

    public function test_a_point_pays_from_four_thousandths_of_the_capacity_a_minute_on(): void
    {
        $worth = function (float $minutes): DrainWorth {
            $document = Demo::document('post-van');
            $document['ports'] = array_values(array_filter(
                $document['ports'],
                fn (array $port) => $port['id'] !== 'block_plug',
            ));
            foreach ($document['ports'] as $i => $port) {
                if ($port['id'] === 'radiator_cock') {
                    unset($document['ports'][$i]['behind']);
                    $document['ports'][$i]['minutes'] = $minutes;
                }
            }

            return DrainWorth::of(CircuitReader::read($document), [], true)[0];
        };
        $pays = $worth(3.0)->volumeMl / (0.004 * Demo::circuit('post-van')->capacityMl());
        self::assertSame(Worth::Pays, $worth(0.95 * $pays)->verdict);
        self::assertSame(Worth::Leave, $worth(1.05 * $pays)->verdict);
    }

    public function test_what_a_rag_takes_up_needs_no_drain(): void
    {
        $keepsDry = function (int $ml): array {
            $document = Demo::document('post-van');
            $document['passages'][array_search('lower_hose', array_column($document['passages'], 'id'), true)]['volume_ml'] = $ml;

            return array_merge(...array_map(
                fn (DrainWorth $one) => $one->keepsDry,
                DrainWorth::of(CircuitReader::read($document), ['lower_hose'], false),
            ));
        };
        self::assertSame([], $keepsDry(76));
        self::assertSame(['lower_hose'], $keepsDry(84));
    }
}
