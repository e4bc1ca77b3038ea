<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Plan\VesselUse;
use PHPUnit\Framework\TestCase;

/** The vessels of a shop. */
final class VesselsTest extends TestCase
{
    public function test_a_batch_is_measured_in_a_vessel_fine_enough_for_it(): void
    {
        $vessels = new Vessels(Vessel::usual());
        self::assertSame('bucket', $vessels->forBatch(12_000)->id);
        self::assertSame('jug', $vessels->forBatch(2_500)->id);
        self::assertSame('jug', $vessels->forBatch(500)->id, 'never a syringe');
        self::assertSame(
            'pail',
            (new Vessels([new Vessel('pail', 'Pail', 1000.0, VesselUse::Mix)]))->forBatch(3_000)->id,
        );
    }
}
