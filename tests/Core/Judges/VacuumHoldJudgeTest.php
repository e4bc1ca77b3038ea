<?php

declare(strict_types=1);

namespace Tests\Core\Judges;

use Aqbel\Core\Vacuum\HoldVerdict;
use PHPUnit\Framework\TestCase;

/** The judge of a held vacuum against circuits it has never seen: what it must reach, on seeded traces. */
final class VacuumHoldJudgeTest extends TestCase
{
    private const ROUNDS = 70;

    /** @var array<string, list<SimulatedHold>> by what was really going on */
    private static array $holds;

    public static function setUpBeforeClass(): void
    {
        $circuit = new HoldSimulator(23);
        self::$holds = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $minutes = $circuit->between(2, 15);
            $count = (int) $circuit->between(3, 9.99);
            $leak = $circuit->logBetween(3, 600);
            $settles = $circuit->between(0.3, 3);
            $tau = $circuit->between(20, 180);
            self::$holds['tight'][] = $circuit->hold($minutes, $count);
            self::$holds['leak'][] = $circuit->hold($minutes, $count, $leak);
            self::$holds['settling'][] = $circuit->hold($minutes, $count, 0.0, $settles, $tau);
            self::$holds['both'][] = $circuit->hold($minutes, $count, $leak, $settles, $tau);
            self::$holds['moved'][] = $circuit->hold($minutes, max(5, $count), jump: $circuit->between(1.2, 4));
        }
    }

    public function test_the_bound_is_honest_and_tight_is_never_said_beyond_it(): void
    {
        [$below, $leaks] = [0, 0];
        foreach ([...self::$holds['leak'], ...self::$holds['both']] as $hold) {
            $leaks++;
            $below += $hold->leak <= $hold->judged->boundMlPerMinute() ? 1 : 0;
            if ($hold->judged->verdict === HoldVerdict::Tight) {
                self::assertLessThanOrEqual(2 * $hold->judged->boundMlPerMinute(), $hold->leak);
            }
        }
        self::assertGreaterThanOrEqual(0.95, $below / $leaks);
    }

    public function test_gross_leaks_never_pass_and_those_the_gauge_can_show_are_told(): void
    {
        [$told, $shows] = [0, 0];
        foreach ([...self::$holds['leak'], ...self::$holds['both']] as $hold) {
            $times = $hold->leak / (float) $hold->judged->detectableMlPerMinute();
            $passes = in_array($hold->judged->verdict, [HoldVerdict::Tight, HoldVerdict::Settling], true);
            self::assertFalse($times > 10 && $passes, "a leak of {$times} times what the gauge shows");
            if ($times > 3) {
                $shows++;
                $told += in_array($hold->judged->verdict, [HoldVerdict::Leak, HoldVerdict::Lost], true) ? 1 : 0;
            }
        }
        self::assertGreaterThanOrEqual(0.88, $told / $shows);
    }

    public function test_hardly_ever_a_leak_where_none_is_and_hardly_ever_no_answer(): void
    {
        [$false, $tight, $open, $all] = [0, 0, 0, 0];
        foreach (self::$holds as $kind => $holds) {
            foreach ($holds as $hold) {
                $all++;
                $open += $hold->judged->verdict === HoldVerdict::Inconclusive ? 1 : 0;
                if ($kind !== 'leak' && $kind !== 'both') {
                    $tight++;
                    $false += $hold->judged->verdict === HoldVerdict::Leak ? 1 : 0;
                }
            }
        }
        self::assertLessThanOrEqual(0.03, $false / $tight);
        self::assertLessThanOrEqual(0.15, $open / $all);
    }

    public function test_a_moved_adapter_is_recognised(): void
    {
        $moved = array_filter(
            self::$holds['moved'],
            fn (SimulatedHold $h) => $h->judged->verdict === HoldVerdict::Moved,
        );
        self::assertGreaterThanOrEqual(0.85, count($moved) / self::ROUNDS);
    }

    public function test_hundreds_of_readings_of_an_instrument_tell_no_more_than_they_know(): void
    {
        $circuit = new HoldSimulator(29);
        [$false, $tight, $below, $leaks, $told, $shows] = [0, 0, 0, 0, 0, 0];
        for ($round = 0; $round < 60; $round++) {
            [$minutes, $count] = [$circuit->between(3, 15), (int) $circuit->between(60, 400)];
            $division = [0.1, 0.2, 0.5][$round % 3];
            $leak = $round % 2 === 0 ? 0.0 : $circuit->logBetween(3, 600);
            $settles = $round % 4 < 2 ? 0.0 : $circuit->between(0.3, 3);
            $hold = $circuit->hold($minutes, $count, $leak, $settles, $circuit->between(20, 180), division: $division);
            $isLeak = in_array($hold->judged->verdict, [HoldVerdict::Leak, HoldVerdict::Lost], true);
            if ($leak === 0.0) {
                $tight++;
                $false += $isLeak ? 1 : 0;

                continue;
            }
            $leaks++;
            $below += $leak <= $hold->judged->boundMlPerMinute() ? 1 : 0;
            if ($leak > 3.0 * $hold->judged->detectableMlPerMinute()) {
                $shows++;
                $told += $isLeak ? 1 : 0;
            }
        }
        self::assertLessThanOrEqual(0.05, $false / $tight);
        self::assertGreaterThanOrEqual(0.95, $below / $leaks);
        self::assertGreaterThanOrEqual(0.85, $told / $shows);
    }
}
