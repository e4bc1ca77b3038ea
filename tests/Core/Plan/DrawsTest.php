<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Plan\Draws;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** What is drawn where nobody knows: all of what has a ±, evenly over it, and nothing else. */
final class DrawsTest extends TestCase
{
    public function test_what_was_measured_exactly_stays_as_it_is(): void
    {
        $document = Demo::document('post-van');
        foreach (['nodes', 'passages'] as $kind) {
            foreach ($document[$kind] as $i => $one) {
                $document[$kind][$i] = [...$one, $kind === 'nodes' ? 'plus_minus_mm' : 'plus_minus' => 0];
            }
        }
        $document['nodes'][0]['plus_minus_mm'] = 10;
        $document['passages'][0]['plus_minus'] = 0.05;
        $drawn = Draws::of(CircuitReader::read($document), 1, 200);
        self::assertSame([$document['nodes'][0]['id']], array_keys($drawn->nodes));
        self::assertSame([$document['passages'][0]['id']], array_keys($drawn->passages));
        foreach ([[...$drawn->nodes, 10.0], [...$drawn->passages, 0.05]] as $of) {
            [$values, $plusMinus] = array_values($of);
            self::assertCount(200, $values);
            sort($values);
            foreach ($values as $i => $value) {
                // One in each of two hundred stretches.
                self::assertGreaterThanOrEqual($plusMinus * (2.0 * $i / 200 - 1.0), $value);
                self::assertLessThanOrEqual($plusMinus * (2.0 * ($i + 1) / 200 - 1.0), $value);
            }
        }
    }

    public function test_a_thermostat_nobody_looked_at_is_the_other_kind_in_three_of_twenty(): void
    {
        $document = Demo::document('post-van');
        self::assertNotSame([], $document['gates'] ?? []);
        $gate = array_key_first(CircuitReader::read($document)->gates);
        foreach ($document['gates'] as $i => $one) {
            $document['gates'][$i] = [...$one, 'known_by' => 'layout'];
        }
        $circuit = CircuitReader::read($document);
        self::assertFalse($circuit->gates[$gate]->sure);
        $drawn = Draws::of($circuit, 1, 200);
        self::assertSame(30.0, array_sum($drawn->gates[$gate]));
        $other = array_search(1.0, $drawn->gates[$gate], true);
        $usual = array_search(0.0, $drawn->gates[$gate], true);
        $weeps = $circuit->gates[$gate]->weeps;
        self::assertSame(! $weeps, $drawn->circuit((int) $other)->gates[$gate]->weeps);
        self::assertSame($weeps, $drawn->circuit((int) $usual)->gates[$gate]->weeps);
        self::assertSame($weeps, $drawn->circuit((int) $other, gate: (string) $gate)->gates[$gate]->weeps);
    }
}
