<?php

declare(strict_types=1);

namespace Tests\Core\Flow;

use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Pocket;
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
