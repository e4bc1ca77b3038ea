<?php

declare(strict_types=1);

namespace Tests\Core\Vacuum;

use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\GaugeReading;
use Aqbel\Core\Vacuum\HoldVerdict;
use Aqbel\Core\Vacuum\PressureHold;
use Aqbel\Core\Vacuum\PressureReading;
use Aqbel\Core\Vacuum\PressureVerdict;
use Aqbel\Core\Vacuum\VacuumHold;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Shapes of a falling needle, on either side of where they are judged otherwise. */
final class HoldShapesTest extends TestCase
{
    /** @param  list<array{int, float}>  $readings  s, inHg */
    #[DataProvider('edges')]
    public function test_a_hold_is_judged_so(float $division, array $readings, string $verdict, float $startsAt): void
    {
        $hold = self::hold($division, $readings);
        self::assertSame([$verdict, $startsAt], [$hold->verdict->value, $hold->startsAt]);
    }

    /** @return iterable<string, array{float, list<array{int, float}>, string, float}> */
    public static function edges(): iterable
    {
        yield 'pumped again from half an inch on' => [0.1, [[0, 21.0], [120, 21.5], [180, 21.6]], 'inconclusive', 180.0];
        yield 'in two strokes' => [0.2, [[0, 21.0], [300, 21.25], [360, 21.55]], 'inconclusive', 360.0];
        yield 'not by less' => [0.2, [[0, 21.0], [60, 19.9], [360, 20.38]], 'inconclusive', 0.0];
        yield 'a last reading two divisions lower' => [0.5, [[0, 21.0], [60, 21.0], [120, 21.1], [420, 20.1]], 'leak', 0.0];
        yield 'and further' => [0.5, [[0, 21.0], [120, 20.9], [180, 19.85]], 'inconclusive', 0.0];
        yield 'it stood, well off the line' => [0.2, [[0, 21.0], [120, 21.0], [180, 20.4], [480, 20.0]], 'opened', 0.0];
        yield 'not so far off it' => [
            0.2,
            [[0, 21.0], [120, 21.0], [240, 20.2], [360, 20.2], [660, 19.8]],
            'leak',
            0.0,
        ];
        yield 'a gross leak is not excluded' => [0.1, [[0, 21.0], [60, 19.2], [75, 19.0]], 'inconclusive', 0.0];
        yield 'it is' => [0.2, [[0, 21.0], [60, 19.6], [180, 19.6]], 'settling', 0.0];
        yield 'and so it is on a finer gauge' => [0.1, [[0, 21.0], [300, 19.7], [360, 19.7]], 'settling', 0.0];
    }

    public function test_what_fell_by_more_than_two_divisions_is_never_within_what_the_gauge_shows(): void
    {
        $said = [];
        foreach ([[0, 60, 120, 180], [0, 120, 300, 600], [0, 300, 600, 900]] as $at) {
            for ($shape = 0; $shape < 343; $shape++) {
                $falls = [intdiv($shape, 49), intdiv($shape, 7) % 7, $shape % 7];
                $readings = [[$at[0], 21.0]];
                foreach ($falls as $i => $fall) {
                    $readings[] = [$at[$i + 1], $readings[$i][1] - 0.5 * $fall];
                }
                $hold = self::hold(0.5, $readings);
                $said[$hold->verdict->value] = ($said[$hold->verdict->value] ?? 0) + 1;
                if ($hold->verdict === HoldVerdict::Moved && str_contains($hold->reason, 'before and after')) {
                    self::assertLessThanOrEqual(1, $falls[0], json_encode([$at, $falls]).' stood before');
                }
                if ($hold->verdict === HoldVerdict::Leak) {
                    self::isAsLargeAsItFell($hold, $readings);
                }
                if (array_sum($falls) > 2) {
                    self::assertNotSame(HoldVerdict::Tight, $hold->verdict, json_encode([$at, $falls]).": {$hold->reason}");
                }
            }
        }
        self::assertGreaterThan(5, $said['tight'] ?? 0);
        self::assertGreaterThan(30, $said['settling'] ?? 0);
    }

    /**
     * A leak has a size that the fall bears out, and only what fell to the last is still going.
     *
     * @param  list<array{int, float}>  $readings
     */
    private static function isAsLargeAsItFell(VacuumHold $hold, array $readings): void
    {
        [$first, $last] = [$readings[0], $readings[count($readings) - 1]];
        $mean = Pressure::inchesOfMercury($first[1] - $last[1])->kPa() / ($last[0] - $first[0]) * 60.0;
        $told = json_encode($readings).": {$hold->reason}";
        self::assertGreaterThan(0.15 * $mean, $hold->rateKpaPerMinute(), $told);
        self::assertLessThan(1.2 * $mean, $hold->rateKpaPerMinute(), $told);
        self::assertSame(
            $readings[count($readings) - 2][1] - $last[1] > 0.4,
            str_contains($hold->reason, 'still going'),
            $told,
        );
    }

    /** Of leaks drawn at random, with hoses that settle beside them, most are told within a third of their size. */
    public function test_a_leak_is_told_by_its_size(): void
    {
        mt_srand(20);
        $off = [];
        for ($run = 0; $run < 400; $run++) {
            $kpaMin = 0.6 * 6.0 ** (mt_rand() / mt_getrandmax());
            [$settles, $tau] = [mt_rand(0, 3) * 1.2, [20.0, 60.0, 180.0][mt_rand(0, 2)]];
            $needle = fn (int $s): float => 0.5 * round(
                (71.0 - $kpaMin * $s / 60.0 - $settles * (1.0 - exp(-$s / $tau))) / 3.386389 / 0.5,
            );
            $hold = self::hold(0.5, array_map(fn (int $s) => [$s, $needle($s)], [0, 60, 180, 300, 420]));
            if ($hold->verdict === HoldVerdict::Leak) {
                $off[] = abs(log($hold->rateKpaPerMinute() / $kpaMin));
            }
        }
        sort($off);
        self::assertGreaterThan(250, count($off));
        self::assertLessThan(log(1.15), $off[intdiv(count($off), 2)], 'half of them');
        self::assertLessThan(log(4 / 3), $off[(int) (0.9 * count($off))], 'nine of ten');
    }

    public function test_a_straight_fall_is_told_from_one_that_settles_beside_it(): void
    {
        $straight = self::hold(0.5, [[0, 21.0], [120, 20.0], [240, 19.0], [360, 18.0]]);
        self::assertStringContainsString('in a straight line, and is still going', $straight->reason);
        $beside = self::hold(0.5, [[0, 21.0], [60, 17.5], [120, 16.0], [180, 15.0]]);
        self::assertSame(HoldVerdict::Leak, $beside->verdict);
        self::assertStringContainsString('part of it settling', $beside->reason);
        self::assertStringNotContainsString('straight', $beside->reason);
    }

    public function test_a_leak_that_opened_is_as_large_as_it_fell_since(): void
    {
        $hold = self::hold(0.2, [[0, 21.0], [120, 21.0], [180, 20.4], [480, 18.6]]);
        self::assertSame(HoldVerdict::Opened, $hold->verdict);
        self::assertEqualsWithDelta(2.4 / 6.0 * 3.386389, $hold->rateKpaPerMinute(), 1e-6);
    }

    public function test_two_readings_that_fell_far_leak_by_what_nothing_settles(): void
    {
        $hold = self::hold(0.5, [[0, 21.0], [600, 12.5]]);
        self::assertSame(HoldVerdict::Leak, $hold->verdict);
        self::assertGreaterThan(4.5 / 10.0 * 3.386389 - 1e-6, $hold->rateKpaPerMinute());
        self::assertLessThan(8.5 / 10.0 * 3.386389, $hold->rateKpaPerMinute());
    }

    public function test_hoses_give_at_once_and_what_is_tight_stands(): void
    {
        $said = [];
        for ($shape = 0; $shape < 343; $shape++) {
            [$first, $then, $last] = [intdiv($shape, 49), intdiv($shape, 7) % 7, $shape % 7];
            $hold = self::pressed([100.0, 100.0 - 2 * $first, 100.0 - 2 * ($first + $then), 100.0 - 2 * ($first + $then + $last)]);
            $said[$hold->verdict->value] = ($said[$hold->verdict->value] ?? 0) + 1;
            if (in_array($hold->verdict, [PressureVerdict::Leak, PressureVerdict::Lost], true)) {
                self::assertGreaterThan(0.0, $hold->lossMlPerMinute, "{$first} {$then} {$last} loses");
            }
            if ($hold->verdict === PressureVerdict::Tight) {
                self::assertLessThanOrEqual(1, $last, "{$first} {$then} {$last} stands");
                self::assertFalse($first === 0 && $then > 2, "{$first} {$then} {$last} did not fall at first");
            }
        }
        self::assertGreaterThan(25, $said['tight'] ?? 0);
        self::assertGreaterThan(150, $said['leak'] ?? 0);
        self::assertStringContainsString('It stood, then fell', self::pressed([100.0, 100.0, 90.0, 90.0])->reason);
        self::assertStringNotContainsString('stands', self::pressed([100.0, 100.0, 100.0, 90.0])->reason);
        self::assertStringContainsString('hoses giving', self::pressed([100.0, 92.0, 90.0, 90.0])->reason);
    }

    /** @param  list<float>  $kPa  after none, one, two and five minutes, on a gauge of 2 kPa */
    private static function pressed(array $kPa): PressureHold
    {
        $at = fn (int $i): PressureReading => new PressureReading(
            [0.0, 60.0, 120.0, 300.0][$i],
            Pressure::kilopascals($kPa[$i]),
            Temperature::celsius(20.0),
        );

        return new PressureHold(
            array_map($at, [0, 1, 2, 3]),
            Pressure::kilopascals(100.0),
            Pressure::kilopascals(101.3),
            600.0,
            Pressure::kilopascals(2.0),
        );
    }

    /** @param  list<array{int, float}>  $readings */
    private static function hold(float $division, array $readings): VacuumHold
    {
        return new VacuumHold(
            Atmosphere::ofBarometer(Pressure::kilopascals(101.325)),
            Volume::millilitres(8000.0),
            array_map(fn (array $one) => new GaugeReading($one[0], Pressure::inchesOfMercury($one[1])), $readings),
            Pressure::inchesOfMercury($division),
        );
    }
}
