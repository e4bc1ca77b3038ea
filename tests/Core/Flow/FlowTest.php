<?php

declare(strict_types=1);

namespace Tests\Core\Flow;

use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Flow\CellState;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Mesh;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\Standing;
use Aqbel\Core\Flow\Ties;
use Aqbel\Core\InvalidField;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\RandomCircuit;

final class FlowTest extends TestCase
{
    private const CIRCUITS = 150;

    public function test_a_hump_without_bleed_point_traps_air_and_with_one_fills(): void
    {
        $hump = $this->circuit(
            ['neck' => 900, 'low' => 300, 'hump' => 800, 'end' => 400],
            [['neck', 'low', 1000], ['low', 'hump', 500], ['hump', 'end', 500]],
            ['fill' => 'neck', 'bleed' => 'hump'],
        );
        $shut = Filling::of($hump, 'fill');
        $open = Filling::of($hump, 'fill', ['bleed']);
        self::assertGreaterThan(400, $shut->airMl);
        self::assertSame('bleed', $open->flows[0]->port);
        // The dead leg behind the hump fills over the saddle before the screw runs.
        self::assertLessThan(1.0, $open->airMl);
        self::assertEqualsWithDelta(2000, $open->acceptedMl, 1.0);
    }

    public function test_two_heights_on_which_it_hangs_are_named_and_a_level_run_is_no_cliff(): void
    {
        // A dead leg behind a saddle that lies so far above, or below, the neck.
        $at = fn (float $saddle): Circuit => $this->circuit(
            ['neck' => 900, 'low' => 300, 'saddle' => $saddle, 'end' => 400],
            [['neck', 'low', 1000], ['low', 'saddle', 500], ['saddle', 'end', 500]],
            ['fill' => 'neck', 'bleed' => 'saddle'],
        );
        $ties = fn (Circuit $circuit): array => Ties::of(
            $circuit,
            0.0,
            fn (Circuit $one, float $k): float => Filling::of($one, 'fill', ['bleed'], coarseness: $k)->airMl,
        )->all;
        foreach ([893.0, 898.1, 899.0, 901.0, 901.9, 902.1, 907.0] as $saddle) {
            [$tie] = $ties($at($saddle));
            self::assertSame(['neck', 'saddle'], [$tie->one, $tie->other], "saddle at {$saddle}");
            self::assertEqualsWithDelta(abs(900.0 - $saddle), $tie->apartMm, 1.0e-6);
            self::assertLessThan(20.0, $tie->lowMl, "saddle at {$saddle}");
            self::assertGreaterThan(400.0, $tie->highMl, "saddle at {$saddle}");
        }
        self::assertSame([], $ties($at(889.5)), 'what a tape tells apart is no tie');
        self::assertSame([], $ties($at(910.5)));
        self::assertCount(1, $ties($at(890.5)));
        self::assertCount(1, $ties($at(909.5)));
        // With the end of the run before it a leg of 255 mL keeps 1.8 % of 15.3 L, one of 305 mL 2.1 %.
        $small = fn (int $leg): Circuit => $this->circuit(
            ['neck' => 900, 'low' => 300, 'saddle' => 899, 'end' => 400],
            [['neck', 'low', 10_000], ['low', 'saddle', 5_000], ['saddle', 'end', $leg]],
            ['fill' => 'neck', 'bleed' => 'saddle'],
        );
        self::assertSame([], $ties($small(255)));
        self::assertCount(1, $ties($small(305)));
    }

    public function test_a_leg_that_glugs_is_helped_at_the_highest_point_it_has(): void
    {
        $two = fn (string $first, string $second): ?string => Drainage::of(
            CircuitReader::read([
                'format' => Circuit::FORMAT,
                'name' => 'test',
                'nodes' => array_map(
                    fn (string $id, int $z) => ['id' => $id, 'x_mm' => 0, 'z_mm' => $z],
                    ['neck', 'drain', 'top', 'end'],
                    [900, 300, 800, 600],
                ),
                'passages' => [
                    ['id' => 'p0', 'from' => 'neck', 'to' => 'drain', 'volume_ml' => 600],
                    ['id' => 'p1', 'from' => 'drain', 'to' => 'end', 'volume_ml' => 400],
                    ['id' => 'p2', 'from' => 'end', 'to' => 'top', 'volume_ml' => 300],
                ],
                'ports' => [
                    ['id' => 'fill', 'node' => 'neck', 'kind' => 'fill'],
                    ['id' => 'cock', 'node' => 'drain', 'kind' => 'drain'],
                    ['id' => 'first', 'node' => $first, 'kind' => 'bleed'],
                    ['id' => 'second', 'node' => $second, 'kind' => 'bleed'],
                ],
            ]),
            ['cock'],
        )->slow[0]->airPort ?? null;
        self::assertSame('second', $two('end', 'top'));
        self::assertSame('first', $two('top', 'end'));
    }

    public function test_a_leg_with_air_from_above_does_not_glug(): void
    {
        $plain = $this->circuit(
            ['neck' => 900, 'drain' => 300],
            [['neck', 'drain', 600]],
            ['fill' => 'neck', 'cock' => 'drain'],
        );
        self::assertSame([], Drainage::of($plain, ['cock'])->slow);
    }

    public function test_a_gate_that_is_none_is_named(): void
    {
        $plain = $this->circuit(
            ['neck' => 900, 'drain' => 300],
            [['neck', 'drain', 600]],
            ['fill' => 'neck', 'cock' => 'drain'],
        );
        try {
            new Mesh($plain, ['valve']);
            self::fail('a gate nobody drew');
        } catch (InvalidField $refused) {
            self::assertSame('open_gates.0', $refused->field);
        }
    }

    public function test_coolant_in_an_evacuated_circuit_stands_in_its_lowest_cells(): void
    {
        $leg = $this->circuit(
            ['neck' => 900, 'low' => 300, 'end' => 800],
            [['neck', 'low', 1_000], ['low', 'end', 1_000]],
            ['fill' => 'neck'],
        );
        $wet = function (float $content) use ($leg): float {
            $ml = 0.0;
            foreach (Standing::of($leg, $content)->toArray() as $passage => $runs) {
                foreach ($runs as [$from, $to, $state]) {
                    $ml += $state === CellState::Coolant->value ? ($to - $from) * $leg->passages[$passage]->volumeMl : 0.0;
                }
            }

            return $ml;
        };
        self::assertEqualsWithDelta(800.0, $wet(800.0), 21.0);
        self::assertEqualsWithDelta(0.0, $wet(0.0), 1.0);
        self::assertEqualsWithDelta(2_000.0, $wet(2_000.0), 1.0);
    }

    public function test_a_picture_keeps_only_the_air_that_the_sums_tell(): void
    {
        $hump = $this->circuit(
            ['neck' => 900, 'low' => 300, 'hump' => 800, 'end' => 400],
            [['neck', 'low', 1000], ['low', 'hump', 500], ['hump', 'end', 500]],
            ['fill' => 'neck', 'bleed' => 'hump'],
        );
        $predicted = Filling::of($hump, 'fill');
        self::assertEqualsWithDelta($predicted->airMl, $predicted->runs->trapped($hump)->sum(), 25.0);
        $known = fn (float $airMl): float => Standing::withAir($hump, $predicted->runs, $airMl)->trapped($hump)->sum();
        self::assertEqualsWithDelta(120.0, $known(120.0), 20.0);
        self::assertEqualsWithDelta($predicted->airMl, $known(5_000.0), 25.0, 'no more than the model can place');
        self::assertSame(0.0, $known(0.0));
    }

    public function test_what_lies_behind_a_hump_does_not_drain(): void
    {
        $u = $this->circuit(
            ['neck' => 900, 'drain' => 300, 'hump' => 700, 'dip' => 400],
            [['neck', 'drain', 600], ['drain', 'hump', 400], ['hump', 'dip', 300]],
            ['fill' => 'neck', 'cock' => 'drain'],
        );
        $drained = Drainage::of($u, ['cock']);
        self::assertEqualsWithDelta(1000, $drained->drainedMl, 1.0);
        self::assertSame(['p2'], array_keys($drained->retained->toArray()));
        self::assertNotSame([], $drained->slow, 'the closed leg glugs');
    }

    public function test_trapped_air_is_compressed_by_its_depth(): void
    {
        $deep = $this->circuit(
            ['neck' => 5000, 'low' => 0, 'cap' => 100],
            [['neck', 'low', 5000], ['low', 'cap', 1000]],
            ['fill' => 'neck'],
        );
        $air = Filling::of($deep, 'fill')->airMl;
        // Boyle with ρ 1070 kg/m³: about 5 m of coolant over 85.39 kPa and over 101.325 kPa.
        self::assertEqualsWithDelta(1000 * 101.325 / (101.325 + 1.070 * 9.80665 * 4.93), $air, 10);
        self::assertLessThan($air, Filling::of($deep, 'fill', barometerKpa: 85.39)->airMl);
    }

    /** The post van worked through by hand and by a slow plain model; results within 1 % of capacity. */
    public function test_the_worked_post_van(): void
    {
        $van = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/post-van.json'), true);
        self::assertCount(9, $van['worked']);
        foreach ($van['worked'] as $i => $case) {
            $answer = TopicList::answer(
                $case['topic'],
                (string) json_encode(['circuit' => $van['circuit'], ...$case['in']]),
            );
            self::assertAlike($case['out'], $answer, 89.5, "case {$i}");
        }
    }

    /**
     * Every number of the expected answer, wherever it stands.
     *
     * @param  array<mixed>  $expected
     * @param  array<mixed>  $answer
     */
    private static function assertAlike(array $expected, array $answer, float $delta, string $path): void
    {
        foreach ($expected as $key => $value) {
            self::assertArrayHasKey($key, $answer, "{$path}.{$key}");
            match (true) {
                is_array($value) => self::assertAlike($value, $answer[$key], $delta, "{$path}.{$key}"),
                is_float($value) || is_int($value) => self::assertEqualsWithDelta(
                    $value,
                    $answer[$key],
                    $delta,
                    "{$path}.{$key}",
                ),
                default => self::assertSame($value, $answer[$key], "{$path}.{$key}"),
            };
        }
    }

    /**
     * One more bleed point under the surface nearly always traps no more: an early run over a saddle can seal another
     * branch.
     */
    public function test_one_more_open_bleed_point_nearly_always_traps_no_more(): void
    {
        $worse = 0;
        foreach ($this->circuits() as $circuit) {
            $one = Filling::of($circuit, 'fill', ['b0'], headMm: 2000.0)->airMl;
            $worse += Filling::of($circuit, 'fill', ['b0', 'b1'], headMm: 2000.0)
                ->airMl > $one + 0.01 * $circuit->capacityMl()
                ? 1
                : 0;
        }
        self::assertLessThanOrEqual(2, $worse);
    }

    public function test_a_weeping_gate_passes_air_and_a_shut_one_does_not(): void
    {
        $van = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/post-van.json'), true)['circuit'];
        $weeping = Filling::of(CircuitReader::read($van), 'neck', ['bleed_stat'], ['heater']);
        $van['gates'][0]['weeps'] = false;
        $shut = Filling::of(CircuitReader::read($van), 'neck', [], ['heater']);
        self::assertGreaterThan($weeping->airMl + 300, $shut->airMl);
    }

    public function test_volume_is_conserved_and_nothing_stands_above_the_surface(): void
    {
        foreach ($this->circuits() as $circuit) {
            $fill = Filling::of($circuit, 'fill', ['b0', 'b1'], ['g0']);
            self::assertEqualsWithDelta($fill->capacityMl, $fill->acceptedMl + $fill->airMl + $fill->headspaceMl, 1e-6);
            self::assertEqualsWithDelta(
                $fill->airMl,
                array_sum(array_map(fn (Pocket $pocket) => $pocket->volumeMl(), $fill->pockets)),
                1e-6,
            );
            self::assertGreaterThanOrEqual(-1e-6, $fill->acceptedMl);
            $drain = Drainage::of($circuit, ['d0', 'd1'], ['g0']);
            self::assertEqualsWithDelta($fill->capacityMl, $drain->drainedMl + $drain->retainedMl, 1e-6);
            self::assertEqualsWithDelta($drain->retainedMl, $drain->retained->sum(), 1e-6);
        }
    }

    public function test_a_shut_gate_never_drains_more(): void
    {
        foreach ($this->circuits() as $circuit) {
            self::assertLessThanOrEqual(
                Drainage::of($circuit, ['d0', 'd1'], ['g0'])->drainedMl + 1e-6,
                Drainage::of($circuit, ['d0', 'd1'])->drainedMl,
            );
        }
    }

    public function test_a_mirrored_circuit_gives_mirrored_results(): void
    {
        foreach ($this->circuits() as $seed => $circuit) {
            $mirrored = RandomCircuit::make($seed, mirrored: true);
            self::assertEqualsWithDelta(
                Filling::of($circuit, 'fill', ['b0', 'b1'])->airMl,
                Filling::of($mirrored, 'fill', ['b0', 'b1'])->airMl,
                1e-6,
            );
            self::assertEqualsWithDelta(
                Drainage::of($circuit, ['d0'])->drainedMl,
                Drainage::of($mirrored, ['d0'])->drainedMl,
                1e-6,
            );
        }
    }

    public function test_halving_the_cells_changes_less_than_one_percent_of_capacity(): void
    {
        foreach ($this->circuits() as $seed => $circuit) {
            $coarse = Filling::of($circuit, 'fill', ['b0', 'b1'], ['g0']);
            $fine = Filling::of($circuit, 'fill', ['b0', 'b1'], ['g0'], coarseness: 0.5);
            self::assertEqualsWithDelta(
                $coarse->acceptedMl,
                $fine->acceptedMl,
                0.01 * $coarse->capacityMl,
                "circuit {$seed}",
            );
        }
    }

    #[DataProvider('badCircuits')]
    public function test_bad_circuits_are_refused_at_the_field(array $change, string $field): void
    {
        $good = ['format' => Circuit::FORMAT, 'name' => 'x', 'nodes' => [
            ['id' => 'a', 'x_mm' => 0, 'z_mm' => 900], ['id' => 'b', 'x_mm' => 0, 'z_mm' => 300],
        ],
            'passages' => [
                ['id' => 'p', 'from' => 'a', 'to' => 'b', 'volume_ml' => 500],
            ], 'ports' => [['id' => 'f', 'node' => 'a', 'kind' => 'fill']]];
        CircuitReader::read($good);
        try {
            CircuitReader::read(array_replace_recursive($good, $change));
            self::fail('accepted');
        } catch (InvalidField $invalid) {
            self::assertSame($field, $invalid->field);
        }
    }

    /** @return array<string, array{array<mixed>, string}> */
    public static function badCircuits(): array
    {
        return [
            'format' => [['format' => 'other'], 'format'], 'no volume' => [
                ['passages' => [['volume_ml' => 0]]], 'passages.0.volume_ml',
            ], 'text for a number' => [['nodes' => [['x_mm' => '12 in']]], 'nodes.0.x_mm'],
            'negative height' => [['nodes' => [['z_mm' => -5]]], 'nodes.0.z_mm'], 'missing node' => [
                ['passages' => [['to' => 'nowhere']]], 'passages.0.to',
            ], 'one end' => [['passages' => [['to' => 'a']]], 'passages.0.to'],
            'hostile id' => [['ports' => [['id' => '<script>']]], 'ports.0.id'], 'no neck' => [
                ['ports' => [['kind' => 'drain']]], 'ports',
            ], 'unknown kind' => [['passages' => [['kind' => 'rope']]], 'passages.0.kind'],
            'loose part' => [
                [
                    'nodes' => [
                        2 => ['id' => 'c', 'x_mm' => 1, 'z_mm' => 2], 3 => ['id' => 'd', 'x_mm' => 1, 'z_mm' => 9],
                    ],
                    'passages' => [1 => ['id' => 'q', 'from' => 'c', 'to' => 'd', 'volume_ml' => 5]],
                ],
                'passages.1',
            ],
            'litres for millilitres' => [['passages' => [['volume_ml' => 450_000]]], 'passages'],
            'too many' => [
                ['passages' => array_fill(1, 10000, ['id' => 'x', 'from' => 'a', 'to' => 'b', 'volume_ml' => 5])],
                'passages',
            ],
            'hostile label' => [
                ['ports' => [['label' => "a\0b"]]], 'ports.0.label',
            ], 'fact' => [['facts' => ['cap_kpa' => -4]], 'facts.cap_kpa'],
        ];
    }

    /** @return iterable<int, Circuit> */
    private function circuits(): iterable
    {
        for ($seed = 1; $seed <= self::CIRCUITS; $seed++) {
            yield $seed => RandomCircuit::make($seed);
        }
    }

    /**
     * @param  array<string, int>  $heights
     * @param  list<array{string, string, int}>  $passages
     * @param  array<string, string>  $ports
     */
    private function circuit(array $heights, array $passages, array $ports): Circuit
    {
        $kinds = ['fill' => 'fill', 'bleed' => 'bleed', 'cock' => 'drain'];

        return CircuitReader::read([
            'format' => Circuit::FORMAT, 'name' => 'test',
            'nodes' => array_map(
                fn (string $id, int $i) => ['id' => $id, 'x_mm' => 100 * $i, 'z_mm' => $heights[$id]],
                array_keys($heights),
                array_keys(array_keys($heights)),
            ),
            'passages' => array_map(
                fn (array $p, int $i) => ['id' => "p{$i}", 'from' => $p[0], 'to' => $p[1], 'volume_ml' => $p[2]],
                $passages,
                array_keys($passages),
            ),
            'ports' => array_map(
                fn (string $id, string $node) => ['id' => $id, 'node' => $node, 'kind' => $kinds[$id]],
                array_keys($ports),
                $ports,
            ),
        ]);
    }
}
