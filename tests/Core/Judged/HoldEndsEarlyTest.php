<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\Judged\VacuumHeld;
use Aqbel\Core\Quantity\Pressure;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\JobOnPaper;

/**
 * A hold that an instrument reads ends when a longer one would tell
 * no more; one by hand, or with anything moving, never does.
 */
final class HoldEndsEarlyTest extends TestCase
{
    public function test_five_minutes_of_a_standing_instrument_are_enough_and_of_a_needle_are_not(): void
    {
        self::assertFalse(self::held([21.0, 21.0, 21.0, 21.0])?->early, 'three minutes');
        self::assertTrue(self::held([21.0, 21.0, 21.0, 21.0, 21.0, 21.0])?->early);
        self::assertTrue(self::held([21.0, 21.0, 21.0, 21.0, 21.0, 21.0])?->over);
        self::assertFalse(self::held([21.0, 21.0, 21.0, 21.0, 21.0, 21.0], byInstrument: false)?->over);
        self::assertTrue(VacuumHeld::proved(self::job([21.0, 21.0, 21.0, 21.0, 21.0, 21.0])->state()));
    }

    public function test_whatever_still_moves_is_held_to_its_end(): void
    {
        foreach (
            [
                'a leak' => [21.0, 20.85, 20.7, 20.55, 20.4, 20.25],
                'a small one' => [21.0, 20.94, 20.88, 20.82, 20.76, 20.7],
                'settling' => [21.0, 20.6, 20.4, 20.3, 20.25, 20.22],
                'a late fall' => [21.0, 21.0, 21.0, 21.0, 21.0, 20.6],
                'an adapter' => [21.0, 21.0, 19.0, 19.0, 19.0, 19.0],
            ] as $what => $inHg
        ) {
            self::assertFalse(self::held($inHg)?->early, $what);
        }
    }

    /** What a needle would have called a leak at the end of the whole hold never ends early as tight. */
    public function test_no_leak_that_the_whole_hold_would_show_ends_early(): void
    {
        $draw = new Randomizer(new Mt19937(7));
        $early = 0;
        for ($i = 0; $i < 300; $i++) {
            // Over fifteen minutes it falls by two divisions of the needle, or more.
            $perMinute = (1.0 + $draw->getInt(0, 200) / 100.0) / 15.0;
            $noise = fn (): float => $draw->getInt(-40, 40) / 1000.0;
            $inHg = array_map(fn (int $minute): float => 21.0 - $perMinute * $minute + $noise(), range(0, 6));
            $early += (int) self::held($inHg)?->early;
        }
        self::assertSame(0, $early);
    }

    /** @param  list<float>  $inHg  by the minute */
    private static function held(array $inHg, bool $byInstrument = true): ?VacuumHeld
    {
        return VacuumHeld::of(self::job($inHg, $byInstrument)->at('hold:1'));
    }

    /** @param  list<float>  $inHg */
    private static function job(array $inHg, bool $byInstrument = true): JobOnPaper
    {
        $job = JobOnPaper::on('rescue-ambulance', school: 'vacuum');
        foreach ($inHg as $one) {
            $job->write(
                'hold:1',
                'reading',
                ['vacuum' => Pressure::inchesOfMercury($one)->kPa()]
                    + ($byInstrument ? ['source' => 'instrument'] : []),
                60,
            );
        }

        return $job;
    }
}
