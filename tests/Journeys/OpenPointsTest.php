<?php

declare(strict_types=1);

namespace Tests\Journeys;

use App\Calc\Input;
use App\Practice\Answers;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Writing\Replanning;
use Aqbel\Core\Writing\Script;
use Aqbel\Core\Writing\ScriptLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** Whatever loads joints, runs an engine or signs minds a point that stands open, in every way of filling. */
final class OpenPointsTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function ways(): iterable
    {
        foreach (SchoolCatalogue::standard()->for(Demo::circuit('rescue-ambulance')) as $school) {
            yield $school->id() => [$school->id()];
        }
    }

    #[DataProvider('ways')]
    public function test_every_step_that_minds_it_asks(string $way): void
    {
        $circuit = Demo::circuit('rescue-ambulance');
        [$kinds, $schools] = [StepCatalogue::standard(), SchoolCatalogue::standard()];
        $planner = new Planner($kinds, $schools);
        $choices = (new Input(['choices' => [
            'school' => $way, 'tools' => ['funnel', 'ramps', 'pressure_tester', 'vacuum_filler'],
        ]]))->choices($circuit);
        if ($planner->misfit($schools->of($way, $circuit), $planner->groundwork($circuit, $choices)) !== null) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $state = new JobState($circuit, $planner->plan($circuit, $choices), $kinds);
        $script = new Script($state, $kinds, new Replanning($kinds, $planner));
        $drain = $circuit->portIds(PortKind::Drain)[0];
        [$now, $asked] = [1_000_000, []];
        while (($step = $script->state()->stepInHand()) !== null && $step->kind !== 'sign_off') {
            $now += 36_000;
            if ($step->id === "drain:{$drain}") {
                self::assertNull($script->write(self::line($step, 'opened', ['cap' => 'off'], $now)));
            }
            $asked = [...$asked, ...self::asked($script->state(), $step, $now)];
            // Whatever may be passed over is; what may not is done as usual.
            if ($script->write(self::line($step, 'finish', [], $now, 'passed over')) !== null) {
                foreach (Answers::to($kinds->of($step), $script->state()->at($step, $now)) as [$form, $values]) {
                    $script->write(self::line($step, $form, $values, $now += 60));
                }
                $script->write(self::line($step, 'finish', [], $now += 60, 'passed over'));
            }
            self::assertArrayHasKey($step->id, $script->state()->closed, $step->id);
        }
        self::assertContains('drive', [...$asked, ...self::asked($script->state(), $step ?? self::fail(), $now)]);
        self::assertContains('heat_cycle', $asked);
    }

    /** @return list<string> the kind, where the step minds what stands open: then it has said so */
    private static function asked(JobState $job, Step $step, int $now): array
    {
        $minds = array_filter(
            [Does::LoadsJoints, Does::RunsEngine, Does::Signs],
            fn (Does $what) => $job->kinds->of($step)->does($what),
        );
        // How it ran on arrival was before anything was opened.
        if ($minds === [] || $step->kind === 'baseline') {
            return [];
        }
        $kind = $job->kinds->of($step);
        assert($kind instanceof StepKind);
        $codes = array_map(fn (Obstacle $obstacle) => $obstacle->code, $kind->open($job->at($step, $now)));
        self::assertContains('stands_open', $codes, $step->id);

        return [$step->kind];
    }

    /** @param  array<string, string>  $values */
    private static function line(Step $step, string $form, array $values, int $now, string $reason = ''): ScriptLine
    {
        return new ScriptLine(0, $now, 'Imre Tovald', $step->id, $form, $values, $reason, 0, $reason !== '');
    }
}
