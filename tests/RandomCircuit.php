<?php

declare(strict_types=1);

namespace Tests;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;

/**
 * Seeded circuits: a ring with branches and a closed leg, two bleed points, two drains, one gate. No two nodes stand at
 * the same height to within a cell: which of two equal saddles runs over first is a coin toss in a workshop too.
 */
final class RandomCircuit
{
    public static function make(int $seed, bool $mirrored = false): Circuit
    {
        mt_srand($seed);
        $count = mt_rand(5, 10);
        $nodes = [['id' => 'n0', 'x_mm' => 0, 'z_mm' => mt_rand(800, 1000)]];
        for ($i = 1; $i < $count; $i++) {
            do {
                $height = mt_rand(250, 1000);
            } while (array_filter($nodes, fn (array $n) => abs($n['z_mm'] - $height) < 8) !== []);
            $nodes[] = ['id' => "n{$i}", 'x_mm' => mt_rand(-900, 900), 'z_mm' => $height];
        }
        $passages = [];
        for ($i = 1; $i < $count; $i++) {
            $passages[] = self::passage(count($passages), 'n'.mt_rand(max(0, $i - 3), $i - 1), "n{$i}");
        }
        for ($i = mt_rand(1, 3); $i > 0; $i--) {
            $from = mt_rand(0, $count - 1);
            $passages[] = self::passage(count($passages), "n{$from}", 'n'.(($from + mt_rand(1, $count - 1)) % $count));
        }
        $port = fn (string $id, string $kind, int $node) => ['id' => $id, 'node' => "n{$node}", 'kind' => $kind];
        $ports = [
            $port('fill', 'fill', 0),
            $port('b0', 'bleed', mt_rand(1, $count - 1)),
            $port('b1', 'bleed', mt_rand(1, $count - 1)),
            $port('d0', 'drain', mt_rand(1, $count - 1)),
            $port('d1', 'drain', mt_rand(1, $count - 1)),
        ];
        $gates = [['id' => 'g0', 'passage' => 'p'.mt_rand(0, count($passages) - 1), 'kind' => 'valve']];
        if ($mirrored) {
            $nodes = array_map(fn (array $n) => [...$n, 'x_mm' => -$n['x_mm']], $nodes);
        }

        return CircuitReader::read(
            [
                'format' => Circuit::FORMAT,
                'name' => "random {$seed}",
                'nodes' => $nodes,
                'passages' => $passages,
                'ports' => $ports,
                'gates' => $gates,
            ],
        );
    }

    /** Nodes on seven terraces, so that many runs are level; one node may stand a little off its terrace. */
    public static function terraced(int $seed, ?int $nudged = null, float $mm = 0.0): Circuit
    {
        mt_srand($seed);
        $count = mt_rand(5, 9);
        $nodes = [['id' => 'n0', 'x_mm' => 0, 'z_mm' => mt_rand(8, 10) * 100]];
        for ($i = 1; $i < $count; $i++) {
            $nodes[] = ['id' => "n{$i}", 'x_mm' => mt_rand(-900, 900), 'z_mm' => mt_rand(3, 9) * 100];
        }
        $passages = [];
        for ($i = 1; $i < $count; $i++) {
            $passages[] = self::passage(count($passages), 'n'.mt_rand(max(0, $i - 3), $i - 1), "n{$i}");
        }
        for ($i = mt_rand(1, 3); $i > 0; $i--) {
            $from = mt_rand(0, $count - 1);
            $passages[] = self::passage(count($passages), "n{$from}", 'n'.(($from + mt_rand(1, $count - 1)) % $count));
        }
        $bleed = fn (string $id): array => ['id' => $id, 'node' => 'n'.mt_rand(1, $count - 1), 'kind' => 'bleed'];
        $ports = [['id' => 'fill', 'node' => 'n0', 'kind' => 'fill'], $bleed('b0'), $bleed('b1')];
        if ($nudged !== null) {
            $nodes[1 + $nudged % ($count - 1)]['z_mm'] += $mm;
        }

        return CircuitReader::read([
            'format' => Circuit::FORMAT,
            'name' => "terraced {$seed}",
            'nodes' => $nodes,
            'passages' => $passages,
            'ports' => $ports,
        ]);
    }

    /** @return array<string, mixed> */
    private static function passage(int $number, string $from, string $to): array
    {
        return ['id' => "p{$number}", 'from' => $from, 'to' => $to, 'volume_ml' => mt_rand(50, 2500)];
    }
}
