<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Plan\HouseRules;
use PHPUnit\Framework\TestCase;

final class LabourTest extends TestCase
{
    public function test_nobody_waits_out_what_of_a_cure_goes_by_while_the_work_goes_on(): void
    {
        $labour = (new HouseRules())->labour;
        self::assertSame(40.0, $labour->leftOfCure(60.0));
        self::assertSame(0.0, $labour->leftOfCure(15.0));
    }
}
