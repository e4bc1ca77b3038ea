<?php

declare(strict_types=1);

namespace Tests\Core\Matter;

use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Quantity\Temperature;
use PHPUnit\Framework\TestCase;

/** Strength and freeze point. */
final class FreezePointTest extends TestCase
{
    public function test_a_strength_and_its_freeze_point_lead_back_to_each_other(): void
    {
        foreach (Glycol::cases() as $base) {
            for ($percent = 5; $percent <= 55; $percent++) {
                $freeze = (new Mixture($base, $percent / 100))->freezePoint();
                self::assertEqualsWithDelta(
                    $percent / 100,
                    Mixture::freezingAt($base, Temperature::celsius($freeze->degC()))->volumeFraction,
                    1e-4,
                );
            }
        }
    }
}
