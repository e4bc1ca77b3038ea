<?php

declare(strict_types=1);

namespace Tests\Core\Evidence;

use Aqbel\Core\Evidence\HotStream;
use Aqbel\Core\Evidence\RunFacts;
use Aqbel\Core\Instruments\Quiet;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Virtual\Action;
use Aqbel\Core\Virtual\Faults;
use Aqbel\Core\Virtual\Vehicle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** Whether a batch may be more is asked of the judge of the whole stream, over its last minute. */
final class QuietTest extends TestCase
{
    private const LIMIT_C = 100.0;

    /** @return iterable<string, array{string, int, float}> fault, seed, seconds between two points */
    public static function streams(): iterable
    {
        foreach (['thermostat:shut', 'pocket:sensor', 'fan:dead'] as $fault) {
            foreach ([1.0, 4.0, 10.0, 15.0] as $i => $every) {
                yield "{$fault}, a point in {$every} s" => [$fault, $i + 3, $every];
            }
        }
    }

    #[DataProvider('streams')]
    public function test_no_danger_of_the_whole_stream_is_missed_by_its_last_minute(string $fault, int $seed, float $every): void
    {
        $circuit = Demo::circuit('taxi-engine');
        $facts = RunFacts::of($circuit->facts, self::LIMIT_C);
        $trace = Vehicle::run(
            $circuit,
            Faults::of([$fault]),
            $seed,
            Atmosphere::atElevation(Length::metres(410.0)),
            15.0,
            [new Action(0.0, 'start')],
            2400.0,
        );
        $until = function (float $from, float $to) use ($trace, $every): array {
            $in = fn (array $point): bool => $point[0] >= $from && $point[0] <= $to && fmod($point[0], $every) < 0.25;

            return array_map(fn (array $points) => array_values(array_filter($points, $in)), $trace->channels);
        };
        $quiet = new Quiet(1, 0, $facts);
        $isDanger = fn (float $now): bool => (new HotStream($facts, $until(max(0.0, $now - 900.0), $now)))->danger;
        // Minute by minute, and from the minute before point by point.
        $danger = 60.0;
        while ($danger < 2400.0 && ! $isDanger($danger)) {
            $danger += 60.0;
        }
        for ($danger -= 60.0; $danger < 2400.0 && ! $isDanger($danger); $danger += $every) {
            self::assertLessThan(2400.0, $danger + $every, "{$fault} is no danger");
        }
        self::assertTrue($quiet->mayBeDanger($until($danger - Quiet::SHOWS_S, $danger)), "{$fault} at {$danger} s");
    }

    public function test_it_holds_until_a_line_is_written_or_its_time_is_over(): void
    {
        $quiet = new Quiet(12, 500_000, null);
        self::assertTrue($quiet->stillHolds(12, 500_000));
        self::assertTrue($quiet->stillHolds(12, 500_000 + Quiet::LOOK_MS - 1));
        self::assertFalse($quiet->stillHolds(12, 500_000 + Quiet::LOOK_MS));
        self::assertFalse($quiet->stillHolds(13, 500_000));
        self::assertFalse($quiet->stillHolds(12, 499_999), 'a clock that went back');
        self::assertFalse($quiet->mayBeDanger(['coolant_c' => [[1.0, 130.0]]]), 'no engine runs');
    }

    public function test_it_comes_back_as_it_was_kept(): void
    {
        $quiet = new Quiet(12, 1_790_000_000_123, new RunFacts(88.0, 95.0, null, null, 100.5));
        self::assertEquals($quiet, Quiet::fromJson((string) json_encode($quiet->toArray())));
        foreach (['', '{}', '[]', '{"line":"x","at":1}', 'null'] as $other) {
            self::assertNull(Quiet::fromJson($other));
        }
    }
}
