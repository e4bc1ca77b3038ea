<?php

declare(strict_types=1);

namespace Tests\Core\Learned;

use Aqbel\Core\Learned\Beside;
use Aqbel\Core\Plan\Plan;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What a plan said stands beside what came; what a job does not tell is left out. */
final class BesideTest extends TestCase
{
    public function test_what_was_poured_topped_up_and_waited_for_stands_beside_its_plan(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('fill_level', 'at_mark', ['volume' => 10_000.0, 'vessel' => 'bucket'])
            ->ranHot('heat_cycle:1')
            ->write('cold_level:1', 'topped', ['volume' => 300.0, 'vessel' => 'syringe']);
        $plan = Plan::of($job->state());
        $told = array_column(
            array_map(fn (Beside $one) => [$one->what, $one->said, $one->came], Beside::of($job->state())),
            null,
            0,
        );
        self::assertSame(
            [Beside::POURED, $plan->fill->coolantMl - $plan->fill->airMl, 10_000.0],
            $told[Beside::POURED],
        );
        self::assertSame([Beside::TOPPED, $plan->fill->airMl, 300.0], $told[Beside::TOPPED]);
        self::assertArrayNotHasKey(Beside::COLD, $told, 'nobody has closed the cool-down');
        self::assertSame([], Beside::of(JobOnPaper::on('rescue-ambulance')->state()));
    }

    public function test_what_a_vacuum_leaves_under_the_neck_is_poured_before_the_run_and_not_topped_up_after_it(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', 'vacuum')
            ->write('fill_level', 'at_mark', ['volume' => 10_700.0, 'vessel' => 'bucket'])
            ->ranHot('heat_cycle:1')
            ->write('cold_level:1', 'topped', ['volume' => 120.0, 'vessel' => 'syringe']);
        $fill = Plan::of($job->state())->fill;
        $said = array_column(array_map(fn (Beside $one) => [$one->what, $one->said], Beside::of($job->state())), 1, 0);
        self::assertLessThan(0.2 * $fill->airMl, $said[Beside::TOPPED]);
        self::assertEqualsWithDelta($fill->coolantMl, $said[Beside::POURED] + $said[Beside::TOPPED], 1.0e-6);
    }

    public function test_points_that_run_out_of_turn_are_counted_as_such(): void
    {
        $plan = Plan::of(JobOnPaper::on('post-van')->state());
        $ports = array_column($plan->fill->flows, 'port');
        self::assertGreaterThanOrEqual(2, count($ports));
        $ran = function (array $order): ?Beside {
            $job = JobOnPaper::on('post-van');
            foreach ($order as $port) {
                $job = $job->write("bleed:{$port}", 'running', later: 60);
            }

            return Beside::of($job->state())[0] ?? null;
        };
        self::assertSame([2.0, 2.0], [$ran($ports)?->said, $ran($ports)?->came]);
        self::assertSame(0.0, $ran(array_reverse($ports))?->came);
    }
}
