<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\OnTheWay;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** A job that goes on by another plan: what stays, what is taken off first, and what follows. */
final class OnTheWayTest extends TestCase
{
    private const INTO_THE_FILL = ['set_up_vacuum', 'pull:1', 'hold:1'];

    private static function job(bool $funnelOn): JobOnPaper
    {
        $job = JobOnPaper::on('rescue-ambulance', school: 'funnel');
        foreach ($job->state()->steps as $id => $step) {
            if ($id === 'funnel') {
                return $funnelOn ? $job->write('funnel', 'ticked', ['on' => true]) : $job;
            }
            $job->finish($id);
        }
        throw new \LogicException('A funnel is put on.');
    }

    private static function byVacuum(JobOnPaper $job, string $inHand): OnTheWay
    {
        $new = Demo::planner()->plan(Demo::circuit('rescue-ambulance'), $job->choices->with('vacuum'));

        return new OnTheWay($job->state(), $job->state()->steps[$inHand], $new, 2_000_000);
    }

    /** @return list<string> */
    private static function ids(OnTheWay $way): array
    {
        return array_map(fn (Step $step) => $step->id, $way->steps());
    }

    public function test_what_was_only_planned_of_the_way_that_is_left_is_gone(): void
    {
        $way = self::byVacuum(self::job(false), 'funnel');
        self::assertTrue($way->leaves(), 'nothing of the new way is a funnel');
        $ids = self::ids($way);
        self::assertNotContains('funnel_off', $ids, 'none was put on');
        self::assertSame(self::INTO_THE_FILL, array_slice($ids, array_search('funnel', $ids, true) + 1, 3));
    }

    public function test_what_was_put_on_is_taken_off_before_the_new_way_begins(): void
    {
        $ids = self::ids(self::byVacuum(self::job(true), 'funnel'));
        $at = array_search('funnel', $ids, true);
        self::assertSame(['funnel_off', ...self::INTO_THE_FILL], array_slice($ids, $at + 1, 4));
        self::assertSame(['left_over', 'dispose', 'sign_off'], array_slice($ids, -3));
        self::assertSame($ids, array_values(array_unique($ids)));
    }

    public function test_before_the_fill_nothing_is_left(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', school: 'funnel')->write('found', 'found', ['content' => 'full']);
        $way = self::byVacuum($job, 'found');
        self::assertFalse($way->leaves());
        self::assertSame(
            array_map(fn (Step $step) => $step->id, Demo::planner()->plan(
                Demo::circuit('rescue-ambulance'),
                $job->choices->with('vacuum'),
            )->steps),
            self::ids($way),
        );
    }
}
