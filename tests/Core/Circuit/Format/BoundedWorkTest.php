<?php

declare(strict_types=1);

namespace Tests\Core\Circuit\Format;

use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\InvalidField;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** No circuit the reader takes holds a worker for long. */
final class BoundedWorkTest extends TestCase
{
    public function test_a_zig_zag_with_a_drain_at_every_foot_is_refused_with_the_limit_in_the_sentence(): void
    {
        self::assertSame('zigzag', CircuitReader::read($this->zigzag(2))->name);
        try {
            CircuitReader::read($this->zigzag(99));
            self::fail('taken');
        } catch (InvalidField $refused) {
            self::assertSame('ports', $refused->field);
            self::assertMatchesRegularExpression(
                '/may have \d+ drain and bleed points, this one has 198/',
                $refused->getMessage(),
            );
        }
    }

    public function test_every_circuit_of_the_library_stays_far_below_it(): void
    {
        foreach (Demo::keys() as $key) {
            self::assertNotSame('', Demo::circuit($key)->name);
        }
    }

    /** @return array<string, mixed> two hundred passages up and down */
    private function zigzag(int $points): array
    {
        $nodes = array_map(
            fn (int $i) => [
                'id' => "n{$i}",
                'x_mm' => 15 * $i,
                'z_mm' => $i % 2 === 0 ? 900 : 500,
                'label' => "node {$i}",
            ],
            range(0, 200),
        );
        $passages = array_map(
            fn (int $i) => [
                'id' => "p{$i}",
                'from' => "n{$i}",
                'to' => 'n'.($i + 1),
                'volume_ml' => 500,
                'kind' => 'hose',
                'label' => "hose {$i}",
            ],
            range(0, 199),
        );
        $ports = [['id' => 'neck', 'node' => 'n0', 'kind' => 'fill', 'label' => 'neck']];
        for ($i = 0; $i < $points; $i++) {
            $ports[] = ['id' => "d{$i}", 'node' => 'n'.(2 * $i + 1), 'kind' => 'drain', 'label' => "drain {$i}"];
            $ports[] = ['id' => "b{$i}", 'node' => 'n'.(2 * $i + 2), 'kind' => 'bleed', 'label' => "bleed {$i}"];
        }

        return [
            'format' => 'aqbel-circuit/1',
            'name' => 'zigzag',
            'nodes' => $nodes,
            'passages' => $passages,
            'ports' => $ports,
        ];
    }
}
