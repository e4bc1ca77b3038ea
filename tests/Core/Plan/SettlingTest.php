<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Plan\Draws;
use Aqbel\Core\Plan\Settling;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** Which measurement settles most, of air that hangs on what it is said here to hang on. */
final class SettlingTest extends TestCase
{
    /** Two heights and a volume nobody knows well. */
    private static function circuit(): Circuit
    {
        $document = Demo::document('post-van');
        foreach (['nodes' => 'plus_minus_mm', 'passages' => 'plus_minus'] as $kind => $field) {
            foreach ($document[$kind] as $i => $one) {
                $document[$kind][$i] = [...$one, $field => 0];
            }
        }
        $document['nodes'][0]['plus_minus_mm'] = 10;
        $document['nodes'][1]['plus_minus_mm'] = 10;
        $document['passages'][0]['plus_minus'] = 0.05;

        return CircuitReader::read($document);
    }

    /** @param  float  $first  mL of air a millimetre of the radiator's top makes, beside a fifth of it for its bottom */
    private static function most(float $first): ?Settling
    {
        $circuit = self::circuit();
        $drawn = Draws::of($circuit, 1, 200);
        $air = fn (Circuit $is): float => 500.0
            + $first * ($is->nodes['rad_top']->zMm - $circuit->nodes['rad_top']->zMm)
            + 0.2 * $first * ($is->nodes['rad_bot']->zMm - $circuit->nodes['rad_bot']->zMm);
        $airs = array_map(fn (int $draw) => $air($drawn->circuit($draw)), range(0, 199));

        return Settling::most($drawn, $airs, $air);
    }

    public function test_the_height_on_which_most_air_hangs_is_named_with_what_it_leaves(): void
    {
        $most = self::most(10.0);
        self::assertSame('rad_top', $most?->node);
        // Of ± 100 mL and ± 20 mL a fortieth lies beyond 100 mL on either side: (120 - 100)² / (2 · 200 · 40). Of the 20 mL
        // of the other height, once this one is known, beyond 19.
        self::assertEqualsWithDelta(200.0, $most->spanMl, 10.0);
        self::assertEqualsWithDelta(0.95 * 40.0, $most->thenMl, 4.0);
        self::assertNull(self::most(0.0), 'no air hangs on any');
    }

    public function test_it_is_worth_the_walk_from_a_hundredth_of_the_capacity_on(): void
    {
        $hundredth = 0.01 * self::circuit()->capacityMl();
        $narrows = fn (Settling $most): float => $most->spanMl - $most->thenMl;
        $scale = $hundredth / $narrows(self::most(1.0) ?? throw new \LogicException());
        self::assertTrue(self::most(1.05 * $scale)?->isWorthIt(self::circuit()));
        self::assertFalse(self::most(0.95 * $scale)?->isWorthIt(self::circuit()));
    }
}
