<?php

declare(strict_types=1);

namespace Tests\Core\Judges;

use App\Calc\TopicList;
use PHPUnit\Framework\TestCase;

/** A needle that fell further by its newest reading is never better for it: once a hold is not green, it stays so. */
final class NoBetterTest extends TestCase
{
    private const TIMES_S = [0, 180, 510, 720, 840, 990];

    private const MOST = 14;

    public function test_a_pressure_that_fell_further_is_no_tighter(): void
    {
        foreach (self::shapes() as $falls) {
            $this->assertNoIsland($falls, fn (array $all): array => [
                'cap_kpa' => 110,
                'limit_kpa' => 110,
                'gas_ml' => 800,
                'engine' => 'cold',
                'readings' => array_map(
                    fn (int $i): array => ['t_s' => self::TIMES_S[$i], 'kpa' => 100 - 2 * $all[$i]],
                    array_keys($all),
                ),
            ], 'pressure-hold');
        }
    }

    public function test_a_vacuum_that_fell_further_is_no_tighter(): void
    {
        foreach (self::shapes() as $falls) {
            $this->assertNoIsland($falls, fn (array $all): array => [
                'barometer_kpa' => 101.3,
                'void_ml' => 8000,
                'gauge_resolution_inhg' => 0.5,
                'readings' => array_map(
                    fn (int $i): array => ['t_s' => self::TIMES_S[$i], 'inhg' => 24 - 0.5 * $all[$i]],
                    array_keys($all),
                ),
            ], 'vacuum-hold');
        }
    }

    /** Rounding is a division; who waits on beside a needle that stands is not told less than before. */
    public function test_a_division_lost_once_is_none_however_long_it_has_stood_since(): void
    {
        foreach ([3, 4, 6, 8, 12] as $readings) {
            for ($fell = 1; $fell < $readings - 1; $fell++) {
                $at = fn (int $i): int => (int) ($i >= $fell);
                $times = array_map(fn (int $i): int => 110 * $i, range(0, $readings - 1));
                foreach ([
                    'pressure-hold' => [
                        'cap_kpa' => 110,
                        'limit_kpa' => 110,
                        'gas_ml' => 800,
                        'engine' => 'cold',
                        'readings' => array_map(
                            fn (int $i): array => ['t_s' => $times[$i], 'kpa' => 100 - 2 * $at($i)],
                            array_keys($times),
                        ),
                    ],
                    'vacuum-hold' => [
                        'barometer_kpa' => 101.3,
                        'void_ml' => 8000,
                        'gauge_resolution_inhg' => 0.5,
                        'readings' => array_map(
                            fn (int $i): array => ['t_s' => $times[$i], 'inhg' => 24 - 0.5 * $at($i)],
                            array_keys($times),
                        ),
                    ],
                ] as $topic => $asked) {
                    $told = TopicList::answer($topic, (string) json_encode($asked));
                    self::assertSame('tight', $told['verdict'], "{$topic}, {$readings} readings, from {$fell} on");
                }
            }
        }
    }

    /**
     * @param  list<int>  $falls  divisions, before the newest reading
     * @param  \Closure(list<int>): array<string, mixed>  $asked
     */
    private function assertNoIsland(array $falls, \Closure $asked, string $topic): void
    {
        $was = [];
        for ($more = 0; $more <= self::MOST; $more++) {
            $all = [...$falls, $falls[count($falls) - 1] + $more];
            $verdict = TopicList::answer($topic, (string) json_encode($asked($all)))['verdict'];
            $green = in_array($verdict, ['tight', 'settling'], true);
            $shape = implode(' ', $all);
            self::assertFalse($green && in_array(false, $was, true), "{$topic} {$shape}: {$verdict} again");
            $was[] = $green;
        }
    }

    /** @return iterable<list<int>> divisions fallen at each reading but the newest, from none to two between two */
    private static function shapes(): iterable
    {
        for ($shape = 0; $shape < 3 ** 4; $shape++) {
            $falls = [0];
            for ($i = 0, $rest = $shape; $i < 4; $i++, $rest = intdiv($rest, 3)) {
                $falls[] = $falls[$i] + $rest % 3;
            }
            yield $falls;
        }
    }
}
