<?php

declare(strict_types=1);

namespace Tests\Journeys;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whole jobs against a truth that the program is not told: what it says at the end is so. */
final class WorldTest extends TestCase
{
    private const CIRCUITS = [
        'rescue-ambulance', 'school-minibus', 'compact-loader', 'footpath-sweeper', 'piste-groomer', 'post-van',
    ];

    /** Within their ± the sums tell 95 of 100; so much more of it, nearly all. */
    private const NEARLY_ALL = 1.4;

    /** @return iterable<string, array{string, string, int}> */
    public static function jobs(): iterable
    {
        foreach (self::CIRCUITS as $n => $circuit) {
            foreach (['gravity', 'vacuum'] as $school) {
                yield "{$circuit}, {$school}" => [$circuit, $school, 100 * $n + strlen($school)];
            }
        }
    }

    #[DataProvider('jobs')]
    public function test_air_that_works_out_is_signed_and_nothing_is_looked_for(
        string $circuit,
        string $school,
        int $seed,
    ): void {
        foreach ([[0.0, 1], [0.03, 2], [0.08, 3]] as [$stays, $runs]) {
            $world = new World($circuit, $school, $seed, $stays);
            self::assertNull($world->play());
            self::assertLessThanOrEqual($runs, $world->runs);
            self::assertSame([], array_diff($world->codes, ['another_cycle', 'settled', 'working_out']));
            self::assertLessThan(0.01, $world->airShare());
        }
    }

    #[DataProvider('jobs')]
    public function test_air_that_stays_is_not_signed_but_where_the_sums_may_hide_it(
        string $circuit,
        string $school,
        int $seed,
    ): void {
        foreach ([0.05, 0.08, 0.12] as $stays) {
            $world = new World($circuit, $school, $seed, $stays, 0.0);
            $stands = $world->play();
            if ($stands === null) {
                $sums = $world->state()->ledger();
                $hides = self::NEARLY_ALL * $sums->trappedAirPlusMinusMl() / $sums->capacityMl;
                self::assertLessThan($hides, $world->airShare());
            } else {
                self::assertContains($stands, ['sign_off: air_unaccounted', 'heat_cycle:1: too_little']);
            }
        }
    }

    #[DataProvider('jobs')]
    public function test_a_leak_is_looked_for_mended_and_runs_once_more(string $circuit, string $school, int $seed): void
    {
        $world = new World($circuit, $school, $seed, leaks: 0.05);
        self::assertNull($world->play());
        $searched = array_search('found', $world->codes, true);
        self::assertSame('not_air', $world->codes[(int) $searched - 1] ?? null, 'never a wrong number');
        self::assertLessThan(5, $searched, 'nobody runs it for a leak');
        self::assertSame('settled', $world->codes[(int) $searched + 1] ?? null, 'and it runs again');
        self::assertEqualsWithDelta(0.0, $world->state()->ledger()->trappedAirMl(), 60.0, 'the ledger has let it go');
    }
}
