<?php

declare(strict_types=1);

namespace Tests\Core\Job;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Journal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Journeys\Journey;

/** A line added to a state gives what its whole journal, read again, gives. */
final class AfterTest extends TestCase
{
    /** @return array<string, array{string}> */
    public static function journeys(): array
    {
        $names = [
            'repair-by-gravity',
            'cold-check-corrected',
            'a-colleagues-line',
            'found-three-times',
            'hold-corrected-to-a-leak',
            'steam-then-calm',
        ];

        return array_combine($names, array_map(fn (string $name) => [$name], $names));
    }

    #[DataProvider('journeys')]
    public function test_one_line_more_is_the_same_as_all_of_them_again(string $name): void
    {
        $journey = Journey::read(dirname(__DIR__, 2)."/Journeys/jobs/{$name}.json");
        $journey->play();
        $whole = $journey->state();
        $lines = $whole->journal->lines;
        self::assertNotSame([], $lines);
        $state = new JobState($whole->circuit, $whole->plan, $whole->kinds);
        foreach ($lines as $i => $line) {
            $state = $state->after($line);
            if ($i % 7 === 0 || $i === count($lines) - 1) {
                $again = new JobState(
                    $whole->circuit,
                    $whole->plan,
                    $whole->kinds,
                    new Journal(array_slice($lines, 0, $i + 1)),
                );
                self::assertSame(array_keys($again->steps), array_keys($state->steps));
                self::assertSame(array_keys($again->closed), array_keys($state->closed));
                self::assertSame(array_keys($again->reopened), array_keys($state->reopened));
                self::assertSame($again->stepInHand()?->id, $state->stepInHand()?->id);
                self::assertEquals($again->ledger(), $state->ledger());
            }
        }
    }
}
