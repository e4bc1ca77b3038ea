<?php

declare(strict_types=1);

namespace Tests\Journeys;

use App\Practice\Answers;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Replanning;
use Aqbel\Core\Writing\Script;
use Aqbel\Core\Writing\ScriptLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** Two people write at one step, and one of their tablets has no connection for a while. */
final class TwoTabletsTest extends TestCase
{
    private const SEED = 17;

    /** @return iterable<string, array{string}> */
    public static function circuits(): iterable
    {
        foreach (Demo::keys() as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('circuits')]
    public function test_a_step_comes_to_the_same_whichever_line_arrives_first(string $key): void
    {
        mt_srand(self::SEED);
        $kinds = StepCatalogue::standard();
        [$script, $now, $compared] = [self::begun($key), 1_000_000, 0];
        while (($step = $script->state()->stepInHand()) !== null) {
            $now += 36_000;
            $lines = [];
            foreach (Answers::to($kinds->of($step), $script->state()->at($step, $now)) as [$form, $values, $minutes]) {
                $lines[] = self::line($step, $form, $values, $now);
                $now += (int) round(60 * max(0.1, $minutes));
            }
            $end = self::line($step, 'finish', [], $now += 60);
            $others = self::arriving($script, $lines, $end);
            foreach ([...$lines, $end] as $line) {
                $script->write($line);
            }
            if (! isset($script->state()->closed[$step->id])) {
                break;
            }
            foreach ($others as $other) {
                self::assertSame(self::comesTo($script->state(), $step, $now), self::comesTo($other->state(), $step, $now), $step->id);
                $compared++;
            }
        }
        self::assertGreaterThan(2, $compared);
    }

    public function test_what_an_offline_tablet_read_past_the_limit_counts_after_somebody_shut_it_off(): void
    {
        $script = self::beforeItRuns();
        $step = $script->state()->steps['heat_cycle:1'];
        $calm = ['far' => 60, 'outlet_front' => 66, 'bubbles' => 'hidden', 'sign' => 'none'];
        $now = 2_000_000;
        self::assertNull($script->write(self::line($step, 'start', ['place' => 'outdoors', 'neck' => 'sealed', 'outside' => '18'], $now)));
        self::assertNull($script->write(self::line($step, 'shut_off', [], $now + 1200)));
        self::assertNull($script->write(self::line($step, 'reading', ['ect' => 128] + $calm, $now + 900)));
        self::assertSame('limit', $script->state()->verdictOf($step, $now + 1300)?->code);
        self::assertNotNull($script->write(self::line($step, 'reading', ['ect' => 60] + $calm, $now + 1300)), 'nobody reads a run that is over');
    }

    public function test_a_start_that_waited_is_asked_as_the_neck_stood_then(): void
    {
        $script = self::beforeItRuns();
        $step = $script->state()->steps['heat_cycle:1'];
        $start = fn (string $neck): array => ['place' => 'outdoors', 'neck' => $neck, 'outside' => '18'];
        self::assertNull($script->write(self::line($step, 'start', $start('sealed'), 2_000_300)));
        self::assertNull($script->write(self::line($step, 'shut_off', [], 2_000_900)));
        self::assertNull($script->write(self::line($step, 'start', $start('open'), 2_000_000)));
        self::assertNotNull($script->write(self::line($step, 'start', $start('open'), 2_001_000)), 'it ran sealed since');
    }

    public function test_what_was_put_right_since_is_known_of_what_came_before(): void
    {
        $journey = new Journey([
            'circuit' => 'rescue-ambulance', 'choices' => [],
            'lines' => [
                ['step' => 'found', 'form' => 'found', 'values' => ['content' => 'water']],
                ['correct' => 'found', 'step' => 'found', 'values' => ['content' => 'full'], 'min' => 30],
            ],
        ]);
        $journey->play();
        $told = $journey->state()->journal->lines[0];
        self::assertSame('full', $journey->state()->asOf($told->at + 60)->entries[0]->text('content'));
        self::assertSame([], $journey->state()->asOf($told->at - 60)->entries);
    }

    /**
     * The same lines as two tablets send them: first those of one, then those the other kept. A line that nobody was
     * asked for before the other’s had come is in none of them.
     *
     * @param  list<ScriptLine>  $lines
     * @return list<Script> finished
     */
    private static function arriving(Script $before, array $lines, ScriptLine $end): array
    {
        $arrived = [];
        for ($draw = 0; $draw < 4; $draw++) {
            $script = clone $before;
            $kept = array_filter($lines, fn () => mt_rand(0, 1) === 1);
            $refused = array_filter(array_diff_key($lines, $kept), $script->write(...));
            if ($kept === [] || count($kept) === count($lines) || $refused !== []) {
                continue;
            }
            foreach ($kept as $line) {
                self::assertNull($script->write($line), "{$line->step} {$line->form}");
            }
            self::assertNull($script->write($end), $end->step);
            $arrived[] = $script;
        }

        return $arrived;
    }

    /** @return array{?string, float} code, and mL inside */
    private static function comesTo(JobState $job, Step $step, int $now): array
    {
        return [$job->verdictOf($step, $now)?->code, round($job->ledger()->contentMl, 1)];
    }

    private static function begun(string $key): Script
    {
        $journey = new Journey(['circuit' => $key, 'choices' => [], 'lines' => []]);

        return self::continued($journey);
    }

    private static function beforeItRuns(): Script
    {
        $journey = new Journey([
            'circuit' => 'rescue-ambulance', 'choices' => ['school' => 'gravity', 'elevation_m' => 1420],
            'lines' => [['until' => 'heat_cycle:1']],
        ]);
        $journey->play();

        return self::continued($journey);
    }

    private static function continued(Journey $journey): Script
    {
        return new Script($journey->state(), StepCatalogue::standard(), new Replanning(StepCatalogue::standard(), Demo::planner()));
    }

    /** @param  array<string, mixed>  $values */
    private static function line(Step $step, string $form, array $values, int $now): ScriptLine
    {
        return new ScriptLine(0, $now, 'Imre Tovald', $step->id, $form, $values, '', 0, false);
    }
}
