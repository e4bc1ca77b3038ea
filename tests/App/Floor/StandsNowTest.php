<?php

declare(strict_types=1);

namespace Tests\App\Floor;

use App\Floor\StandsNow;
use Aqbel\Core\Job\JobState;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Journeys\Journey;
use Tests\Journeys\JourneyTest;

final class StandsNowTest extends TestCase
{
    /** @return array<string, array{string}> */
    public static function journeys(): array
    {
        return JourneyTest::journeys();
    }

    #[DataProvider('journeys')]
    public function test_what_is_drawn_is_never_against_what_the_sums_leave_inside(string $file): void
    {
        $journey = Journey::read($file);
        $journey->play();
        $lines = $journey->state()->journal->lines;
        foreach ([0, intdiv(count($lines), 3), intdiv(2 * count($lines), 3), count($lines) - 1] as $line) {
            if (isset($lines[$line])) {
                $this->drawnAsSummed($journey->state()->upTo($lines[$line]->seq));
            }
        }
        $this->addToAssertionCount(1);
    }

    /** @return array<string, array{array<string, string>, float, float}> as found; litres drawn, at least and at most */
    public static function found(): array
    {
        return [
            'full' => [['content' => 'full'], 11.5, 12.0],
            'low' => [['content' => 'low', 'missing' => '3 L'], 8.3, 9.0],
            'empty' => [['content' => 'empty'], 0.0, 0.1],
        ];
    }

    /** @param  array<string, string>  $found */
    #[DataProvider('found')]
    public function test_what_comes_in_empty_is_drawn_empty(array $found, float $least, float $most): void
    {
        $journey = new Journey(['circuit' => 'rescue-ambulance', 'choices' => [], 'lines' => [
            ['step' => 'found', 'form' => 'found', 'values' => $found],
        ]]);
        $journey->play();
        $drawn = (new StandsNow($journey->state()))->runs()->coolant($journey->state()->circuit)->sum() / 1000.0;
        self::assertGreaterThanOrEqual($least, $drawn);
        self::assertLessThanOrEqual($most, $drawn);
    }

    private function drawnAsSummed(JobState $job): void
    {
        $ledger = $job->ledger();
        if ($ledger->lines === []) {
            return;
        }
        $capacity = $job->circuit->capacityMl();
        self::assertEqualsWithDelta(
            min($capacity, max(0.0, $ledger->contentMl)),
            (new StandsNow($job))->runs()->coolant($job->circuit)->sum(),
            max($ledger->plusMinusMl, 0.05 * $capacity) + $ledger->headspaceMl,
        );
    }
}
