<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Plan\ChangeBy;
use Aqbel\Core\Plan\ChangeInterval;
use Aqbel\Core\Plan\IntervalUsed;
use Aqbel\Core\Plan\NextChange;
use Aqbel\Core\Plan\Usage;
use Aqbel\Core\Quantity\UnitSystem;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** When the coolant is due. */
final class NextChangeTest extends TestCase
{
    public function test_whichever_interval_is_used_up_first_decides(): void
    {
        $rule = new ChangeInterval(80_000, 36, 2_000);
        self::assertNull($rule->used(null, null, null));
        self::assertEquals(new IntervalUsed(0.5, ChangeBy::Distance), $rule->used(40_000, 12, null));
        self::assertSame(ChangeBy::Hours, $rule->used(1_000, 6, 1_900)?->by);
        $choices = JobOnPaper::on(
            'rescue-ambulance',
            choices: ['usage' => new Usage(odometerKm: 120_000.0, sinceKm: 76_000.0, sinceMonths: 20.0)],
        )
            ->choices;
        self::assertTrue(NextChange::before($choices)?->due());
        self::assertStringContainsString('at 200,000 km', NextChange::after($choices, UnitSystem::Metric, 0.05));
        self::assertStringContainsString('at 124,274 mi', NextChange::after($choices, UnitSystem::UsCustomary, 0.05));
    }

    public function test_it_is_due_a_tenth_before_it_is_overdue(): void
    {
        $said = fn (float $share): array => [
            (new IntervalUsed($share, ChangeBy::Time))->due(),
            (new IntervalUsed($share, ChangeBy::Time))->overdue(),
        ];
        self::assertSame([false, false], $said(0.89));
        self::assertSame([true, false], $said(0.9));
        self::assertSame([true, false], $said(0.99));
        self::assertSame([true, true], $said(1.0));
    }

    public function test_old_coolant_that_went_back_in_is_as_old_as_it_was(): void
    {
        $known = JobOnPaper::on(
            'rescue-ambulance',
            choices: ['usage' => new Usage(odometerKm: 120_000.0, sinceKm: 38_000.0)],
        )->choices;
        self::assertSame(
            'not put off by this job, for 71 % is the old coolant: 48 % of its interval is used up',
            NextChange::after($known, UnitSystem::Metric, 0.71),
        );
        $unknown = JobOnPaper::on('rescue-ambulance')->choices;
        self::assertStringContainsString('is not known', NextChange::after($unknown, UnitSystem::Metric, 0.71));
        self::assertTrue(NextChange::renews(0.25));
        self::assertFalse(NextChange::renews(0.26));
    }
}
