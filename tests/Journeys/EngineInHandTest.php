<?php

declare(strict_types=1);

namespace Tests\Journeys;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Refusal;
use Aqbel\Core\Writing\Script;
use Aqbel\Core\Writing\ScriptLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whatever anybody takes back of what was done before: who stands beside an engine that runs is heard. */
final class EngineInHandTest extends TestCase
{
    /** @return array<string, array{string, string}> */
    public static function jobs(): array
    {
        return [
            'ambulance, by gravity' => ['rescue-ambulance', 'gravity'],
            'taxi, vacuum' => ['taxi-engine', 'vacuum'],
            'groomer, run with its neck open' => ['piste-groomer', 'open_neck'],
        ];
    }

    #[DataProvider('jobs')]
    public function test_no_line_that_is_taken_back_silences_it(string $circuit, string $school): void
    {
        [$job, $run] = self::running($circuit, $school);
        $reopened = 0;
        foreach ($job->entries as $line) {
            if ($line->closes() || $line->belongsToEveryStep() || $line->step === $run) {
                continue;
            }
            $script = new Script($job, StepCatalogue::standard());
            $now = $job->entriesOf($run)[0]->at;
            $write = function (string $form, array $values = [], int $about = 0) use ($script, $run, &$now): ?Refusal {
                $now += 60;

                return $script->write(new ScriptLine(0, $now, 'Imre Tovald', $run, $form, $values, 'Not so', $about));
            };
            $takenBack = $write(Lines::Withdraw->value, about: $line->seq) === null;
            $earlier = $takenBack ? $script->state()->turn()->openBefore($script->state()->steps[$run]) : [];
            if ($earlier === []) {
                continue;
            }
            $reopened++;
            $what = "{$line->step}: {$line->form} is taken back";
            $inHand = fn (): ?string => $script->state()->stepInHand()?->id;
            self::assertSame($run, $inHand(), $what);
            self::assertNull($write('reading', ['sign' => 'steam']), $what);
            $says = $script->state()->verdictOf($script->state()->steps[$run], $now);
            self::assertTrue($says?->stops(), $what);
            self::assertSame('sign', $says->code, $what);
            self::assertNotNull($write(Lines::Finish->value), "{$what}, and the engine runs");
            self::assertNull($write('shut_off'), $what);
            self::assertSame($earlier[0]->id, $inHand(), $what);
        }
        self::assertGreaterThan(5, $reopened);
    }

    /** @return array{JobState, string} a job as its engine has just been started, and at which step */
    private static function running(string $circuit, string $school): array
    {
        $journey = new Journey(['circuit' => $circuit, 'choices' => ['school' => $school], 'lines' => []]);
        $journey->toTheEnd();
        $done = $journey->state();
        $start = $done->observed('heat_cycle:1', Started::class)[0];
        $until = array_filter($done->journal->lines, fn (Entry $line) => $line->at <= $start->at());

        return [$done->withOnly(array_values($until)), 'heat_cycle:1'];
    }
}
