<?php

declare(strict_types=1);

namespace Tests\Core\Writing;

use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Changed;
use Aqbel\Core\Writing\Corrections;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What is put right afterwards: which verdicts it changes, and why it was. */
final class PutRightTest extends TestCase
{
    private static function drained(): JobOnPaper
    {
        $job = JobOnPaper::drainedAmbulance();
        foreach (['found', 'drain:radiator_cock', 'drain:left_plug', 'drain:right_plug', 'reconcile:1'] as $step) {
            $job->finish($step);
        }

        return $job;
    }

    /** @return list<string> steps whose verdict is another now */
    private static function changed(JobOnPaper $job): array
    {
        return array_map(
            fn (Changed $one) => $one->step->id,
            Changed::byTheNewest($job->state(), 2_000_000, UnitSystem::Metric),
        );
    }

    public function test_what_is_added_to_a_finished_step_changes_the_verdicts_that_rest_on_it(): void
    {
        $job = self::drained();
        self::assertSame([], self::changed($job), 'each was written before its step was finished');
        // Said late, as of a time before it was finished: that opens the step again.
        $job->wait(-210)->write('drain:left_plug', 'out', ['volume' => 700.0, 'vessel' => 'pan', 'flow' => 'ran']);
        self::assertSame(['drain:left_plug', 'reconcile:1'], self::changed($job));
        $job->wait(210)->finish('drain:left_plug');
        self::assertSame([], self::changed($job), 'and its step is finished again');
        $job->write('look', 'seen', ['look' => 'clear']);
        self::assertSame([], self::changed($job), 'the work has gone on since');
    }

    public function test_what_one_drain_gave_is_known_of_the_next_however_late_it_was_told(): void
    {
        $told = ['volume' => 9640.0, 'vessel' => 'pan', 'flow' => 'ran'];
        $next = fn (JobOnPaper $job): JobOnPaper => $job
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran'])
            ->finish('drain:left_plug');
        $begun = fn (): JobOnPaper => JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full']);
        $said = fn (JobOnPaper $job): ?string => $job->state()
            ->verdictOf($job->state()->steps['drain:left_plug'], 2_000_000)
            ?->code;
        $right = $next($begun()->write('drain:radiator_cock', 'out', $told)->finish('drain:radiator_cock'));
        $late = $next($begun()->wait(120))->wait(-240)->write('drain:radiator_cock', 'out', $told)->wait(240);
        self::assertSame('drained', $said($right));
        self::assertSame('drained', $said($late), 'told last, of a time before');
    }

    public function test_a_reason_is_kept_to_three_hundred_characters(): void
    {
        $job = self::drained();
        $corrections = new Corrections(StepCatalogue::standard());
        $line = $corrections->withdraw(
            $job->at('drain:left_plug'),
            $corrections->correctable($job->state(), 3),
            str_repeat('ä', 400),
            '1',
        );
        self::assertSame(300, mb_strlen($line->values->text('reason')));
    }
}
