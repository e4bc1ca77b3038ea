<?php

declare(strict_types=1);

namespace Tests\Journeys;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Script;
use Aqbel\Core\Writing\ScriptLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A slip that is put right leaves a job as if it had been written right at once, and anything can be put right. */
final class PutRightTest extends TestCase
{
    /** @return array<string, array{string, string}> */
    public static function jobs(): array
    {
        return [
            'groomer, run with its neck open' => ['piste-groomer', 'open_neck'],
            'taxi, vacuum' => ['taxi-engine', 'vacuum'],
            'tractor, under a funnel' => ['yard-tractor', 'funnel'],
        ];
    }

    #[DataProvider('jobs')]
    public function test_what_is_put_right_counts_as_if_it_had_been_right(string $circuit, string $school): void
    {
        $journey = new Journey(['circuit' => $circuit, 'choices' => ['school' => $school], 'lines' => []]);
        $journey->toTheEnd();
        $right = $journey->state();
        self::assertTrue($right->isSigned());
        [$said, $tried] = [self::said($right), 0];
        foreach ($right->journal->lines as $line) {
            $slip = $line->is(Lines::Finish) ? [] : self::slip($line);
            if ($slip === []) {
                continue;
            }
            $again = $this->withSlip($right, $line, $slip);
            if ($again !== null) {
                $tried++;
                self::assertSame($said, self::said($again), "{$line->step}: {$line->form} ".json_encode($slip));
            }
        }
        self::assertGreaterThan(8, $tried);
    }

    /**
     * The same job with one line wrong, and put right in the next.
     *
     * @param  array<string, mixed>  $slip
     */
    private function withSlip(JobState $right, Entry $wrong, array $slip): ?JobState
    {
        $script = new Script(
            new JobState($right->circuit, $right->plan, $right->kinds),
            StepCatalogue::standard(),
        );
        foreach ($right->journal->lines as $line) {
            $values = $line->seq === $wrong->seq ? $slip : $line->values->toArray();
            if ($script->write(self::line($line, $line->form, $values)) !== null) {
                return null;
            }
            if ($line->seq === $wrong->seq) {
                $about = $script->state()->journal->last();
                $script->write(self::line($line, Lines::Correct->value, $wrong->values->toArray(), $about));
                self::assertSame([], $script->refused(), "{$line->step}: {$line->form} is put right");
            }
        }

        return $script->state();
    }

    /** @param  array<mixed>  $values */
    private static function line(Entry $line, string $form, array $values, int $about = 0): ScriptLine
    {
        // A rinse that is skipped is kept without how often.
        $values += isset($values['rinse']) ? ['times' => '1'] : [];

        return new ScriptLine($line->seq, $line->at, $line->by, $line->step, $form, $values, 'a slip', $about);
    }

    /** @return array<string, mixed> its first number twice as large; none where it has none */
    private static function slip(Entry $line): array
    {
        $values = $line->values->toArray();
        foreach ($values as $name => $value) {
            if (is_float($value) && $value > 0.0) {
                return [...$values, $name => 2.0 * $value];
            }
        }

        return isset($values['place']) ? [...$values, 'place' => 'outdoors'] : [];
    }

    /** @return array<string, string> what every step came to, and what is inside */
    private static function said(JobState $job): array
    {
        $said = array_map(
            fn ($step): string => (isset($job->closed[$step->id]) ? 'done ' : '')
                .($job->verdictOf($step, PHP_INT_MAX >> 1)->code ?? ''),
            $job->steps,
        );
        $ledger = $job->ledger();

        return [...$said, 'inside' => sprintf('%.1f mL at %.4f', $ledger->inMl() - $ledger->outMl(), $ledger->fraction())];
    }
}
