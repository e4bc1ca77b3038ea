<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\StepCatalogue;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** What the choices make of the sequence. */
final class SequenceTest extends TestCase
{
    public function test_the_kind_of_job_and_the_complaint_change_the_sequence(): void
    {
        $lost = JobOnPaper::on('rescue-ambulance', choices: ['jobKind' => JobKind::Lost, 'opened' => []])->steps();
        self::assertNotContains('baseline', $lost, 'it cannot safely run');
        self::assertLessThan(array_search('drain:radiator_cock', $lost, true), array_search('find_drip', $lost, true));
        self::assertContains(
            'find_drip',
            JobOnPaper::on('rescue-ambulance', choices: ['complaint' => Complaint::Falling])->steps(),
        );
        self::assertNotContains('find_drip', JobOnPaper::on('rescue-ambulance')->steps());
        $bleed = JobOnPaper::on(
            'rescue-ambulance',
            choices: ['jobKind' => JobKind::Bleed, 'drains' => [], 'opened' => []],
        )
            ->steps();
        self::assertSame(
            [],
            array_values(
                array_filter($bleed, fn (string $id) => preg_match('/^(drain|reconcile|look|rinse)/', $id) === 1),
            ),
        );
        self::assertContains(
            'complaint',
            JobOnPaper::on('rescue-ambulance', choices: ['complaint' => Complaint::HeaterCold])->steps(),
        );
        self::assertContains(
            'jar_test',
            JobOnPaper::on('rescue-ambulance', choices: ['content' => Compatibility::Unknown])->steps(),
        );
        $this->expectExceptionMessage('needs the circuit drained');
        JobOnPaper::on('rescue-ambulance', 'vacuum', choices: ['jobKind' => JobKind::Bleed, 'drains' => []])->state();
    }

    public function test_the_cure_gates_vacuum_and_pressure_and_nothing_before(): void
    {
        foreach (['vacuum' => 'pull:1', 'gravity' => 'pressure_test'] as $school => $gated) {
            $steps = JobOnPaper::on('rescue-ambulance', $school, cure: 90.0)->steps();
            self::assertSame(array_search($gated, $steps, true) - 1, array_search('cured', $steps, true));
        }
        $steps = JobOnPaper::on('rescue-ambulance', cure: 90.0, choices: ['tools' => []])->steps();
        self::assertSame(
            array_search('heat_cycle:1', $steps, true) - 1,
            array_search('cured', $steps, true),
            'without a tester the first pressure is the warm-up',
        );
        $job = JobOnPaper::on('rescue-ambulance', cure: 90.0)->write('cure', 'started');
        self::assertSame([], $job->obstacles('cure'), 'closing up goes on meanwhile');
        self::assertStringContainsString('no vacuum and no pressure', $job->obstacles('cured')[0]);
        self::assertFalse($job->isHard('cured'), 'a typed reason passes it');
        self::assertSame([], $job->wait(90 * 60)->obstacles('cured'));
    }

    public function test_a_raised_nose_changes_what_stays_inside_and_where_the_coolant_runs(): void
    {
        $flat = JobOnPaper::on('rescue-ambulance')->plan();
        $raised = JobOnPaper::on('rescue-ambulance', lift: 300.0)->plan();
        self::assertNotEquals($flat->predicted->retainedMl, $raised->predicted->retainedMl);
        $at = fn (Plan $plan): array => array_column(
            array_map(fn (PortRun $run) => [$run->port, $run->atMl], $plan->fill->flows),
            1,
            0,
        );
        self::assertSame(['bleed_housing', 'bleed_heater'], array_keys($at($flat)));
        self::assertNotEquals($at($flat), $at($raised), 'the points run at other volumes');
    }

    public function test_a_bleed_point_above_the_neck_stands_last_and_says_how_far_it_misses(): void
    {
        $document = Demo::document('post-van');
        $document['nodes'][7]['z_mm'] = 1090;
        $circuit = CircuitReader::read($document);
        $plan = Demo::planner()->plan($circuit, JobOnPaper::on('post-van', choices: ['opened' => []])->choices);
        $bleeds = array_values(array_filter($plan->steps, fn (Step $step) => $step->kind === 'bleed'));
        $last = $bleeds[count($bleeds) - 1];
        self::assertSame('bleed_heater', $last->params->text('port'));
        self::assertEqualsWithDelta(90.0, $last->params->number('missing_mm'), 1.0);
        self::assertNull($bleeds[0]->params->number('missing_mm'));
    }

    public function test_hands_and_waits_are_the_sums_over_the_sequence(): void
    {
        $flat = JobOnPaper::on('rescue-ambulance')->plan();
        self::assertGreaterThan(60.0, $flat->minutes(StepCatalogue::standard())->wait);
        self::assertGreaterThan(60.0, $flat->minutes(StepCatalogue::standard())->hands);
    }
}
