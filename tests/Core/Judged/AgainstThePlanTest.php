<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\Judged\FrostKept;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Compatibility;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What is found or read, against what the job was planned for: on both sides of each edge. */
final class AgainstThePlanTest extends TestCase
{
    public function test_a_circuit_planned_as_empty_holds_no_more_than_a_twentieth(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: ['content' => Compatibility::Nothing, 'drains' => []]);
        $full = $job->state()->circuit->capacityMl() - $job->plan()->headspaceMl();
        $found = fn (float $inside): ?string => (clone $job)
            ->write('found', 'found', ['content' => 'partly', 'missing' => (1.0 - $inside) * $full])
            ->judge('found')?->code;

        self::assertNull($found(0.049));
        self::assertSame('not_empty', $found(0.051));
        self::assertNull((clone $job)->write('found', 'found', ['content' => 'empty'])->judge('found'));
        self::assertSame('not_empty', (clone $job)->write('found', 'found', ['content' => 'full'])->judge('found')?->code);
    }

    public function test_planned_with_coolant_in_it_nothing_is_asked(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full']);

        self::assertNull($job->judge('found'));
    }

    public function test_a_freeze_point_is_short_beyond_what_a_refractometer_reads(): void
    {
        $state = JobOnPaper::on('rescue-ambulance')->state();
        $base = $state->circuit->facts->base;
        $freezesAt = fn (float $share): float => (new Mixture($base, $share))->freezePoint()->degC();

        self::assertTrue(FrostKept::readsShort($state, $freezesAt(0.468)));
        self::assertFalse(FrostKept::readsShort($state, $freezesAt(0.472)));
    }
}
