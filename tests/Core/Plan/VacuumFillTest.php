<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VacuumFill;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

final class VacuumFillTest extends TestCase
{
    public function test_a_circuit_that_stood_over_night_in_the_shop_has_twenty_degrees(): void
    {
        $plan = Plan::of(JobOnPaper::on('rescue-ambulance', school: 'vacuum')->state());
        $vacuum = VacuumFill::of(Demo::circuit('rescue-ambulance'), $plan->choices, $plan->predicted);
        self::assertSame(20.0, $vacuum->temperature->degC());
        // So much of the air of a pocket stays as of the whole: what is left under the pull, and is topped up.
        self::assertEqualsWithDelta(
            $vacuum->topUp()->mL() / ($plan->predicted->neededMl + $plan->predicted->headspaceMl),
            VacuumFill::leaves($vacuum, $plan->predicted),
            1.0e-9,
        );
    }
}
