<?php

declare(strict_types=1);

namespace Tests\Core\Judges;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\GaugeReading;
use Aqbel\Core\Vacuum\PressureHold;
use Aqbel\Core\Vacuum\PressureReading;
use Aqbel\Core\Vacuum\PressureVerdict;
use Aqbel\Core\Vacuum\VacuumHold;
use PHPUnit\Framework\TestCase;

/** Held vacuum and held pressure at the edges of what they say. */
final class HoldEdgesTest extends TestCase
{
    /**
     * What every trace of a sweep was said to be when the thresholds were chosen by the simulators: one letter each.
     */
    private const SAID_OF_VACUUM = 'ttsttstsiiiiiililllllllllllllllllllllllllllllllllllllllllllltts'
        .'ttstisiiiiiiliillillillllllllllllllllllllllllllllllllllllttstss'
        .'tisiislisllillllllllllllllllllllllllllllllllllllllllll';

    private const SAID_OF_PRESSURE = 'ttitiitiiiiiiiiiiiiiiiiiiiiiiiiiliilillilllllllllllllllllllllll'
        .'tttttttitiitllillillillillillllllllllllllllllllllllllllllllllll'
        .'ttttttiitililiillllllllllllllllllllllllllllllllllllllllllllllll';

    public function test_a_sweep_of_leaks_and_settlings_reads_as_it_was_chosen(): void
    {
        $said = '';
        foreach ([[3, 120], [4, 240], [6, 480]] as [$count, $seconds]) {
            for ($leak = 0.0; $leak <= 11.0; $leak += 0.55) {
                foreach ([0.0, 1.1, 2.4] as $settles) {
                    $points = [];
                    for ($i = 0; $i < $count; $i++) {
                        $t = $seconds * $i / ($count - 1);
                        $falls = $leak * $t / $seconds + $settles * (1 - exp(-$t / 70));
                        $points[] = [$t, 21.5 - round($falls * 4) / 4 * 0.5];
                    }
                    $said .= $this->vacuum($points)->verdict->value[0];
                }
            }
        }
        self::assertSame(self::SAID_OF_VACUUM, $said);
    }

    public function test_a_sweep_of_losses_and_creeping_hoses_reads_as_it_was_chosen(): void
    {
        $said = '';
        foreach ([[2, 300], [3, 180], [5, 400]] as [$count, $seconds]) {
            for ($loss = 0.0; $loss <= 12.0; $loss += 0.6) {
                foreach ([0.0, 1.2, 2.6] as $creeps) {
                    $readings = [];
                    for ($i = 0; $i < $count; $i++) {
                        $t = $seconds * $i / ($count - 1);
                        $falls = $loss * $t / $seconds + $creeps * (1 - exp(-$t / 40));
                        $readings[] = [$t, 100.0 - round($falls * 4) / 4 * 2.0, 20.0];
                    }
                    $said .= $this->pressure($readings)->verdict->value[0];
                }
            }
        }
        self::assertSame(self::SAID_OF_PRESSURE, $said);
    }

    public function test_half_gone_is_lost_and_a_test_counts_from_four_fifths(): void
    {
        self::assertSame('lost', $this->vacuum([[0, 20], [600, 10]])->verdict->value);
        self::assertNotSame('lost', $this->vacuum([[0, 20], [600, 10.1]])->verdict->value);
        self::assertSame('lost', $this->vacuum([[0, 15.9], [600, 15.9]], 20.0)->verdict->value);
        self::assertSame('tight', $this->vacuum([[0, 16.1], [600, 16.1]], 20.0)->verdict->value);
        self::assertSame('lost', $this->vacuum([[0, 0], [600, 0]])->verdict->value);
    }

    public function test_the_bound_of_a_lost_vacuum_holds_the_leak_that_took_it_or_is_none(): void
    {
        foreach ([6.0, 15.0, 40.0] as $kpaPerMinute) {
            // A hole by small steps: choked below 0.528, a quarter of an ellipse above it (ISO 6358).
            [$points, $pressure] = [[], 85.39 - 22.0 * 3.386389];
            for ($second = 0; $second <= 600; $second++) {
                if ($second % 60 === 0) {
                    $points[] = [$second, round((85.39 - $pressure) / 3.386389 / 0.5) * 0.5];
                }
                $past = max(0.0, ($pressure / 85.39 - 0.528) / 0.472);
                $pressure = min(85.39, $pressure + $kpaPerMinute / 60.0 * sqrt(max(0.0, 1.0 - $past ** 2)));
            }
            $hold = $this->vacuum($points);
            $leak = $kpaPerMinute * 8000.0 / 85.39;
            self::assertSame('lost', $hold->verdict->value);
            self::assertGreaterThanOrEqual($leak, $hold->boundMlPerMinute());
            self::assertLessThan(2.0 * $leak, $hold->boundMlPerMinute());
        }
        self::assertNull($this->vacuum([[0, 24], [600, 0]])->boundMlPerMinute(), 'gone before anybody looked');
    }

    public function test_two_readings_far_apart_are_a_leak_and_nearer_ones_want_a_third(): void
    {
        self::assertSame('inconclusive', $this->vacuum([[0, 21], [600, 17.3]])->verdict->value);
        self::assertSame('leak', $this->vacuum([[0, 21], [600, 16.7]])->verdict->value);
        self::assertSame('inconclusive', $this->pressure([[0, 100, 20], [600, 84.8, 20]])->verdict->value);
        self::assertSame('leak', $this->pressure([[0, 100, 20], [600, 83.2, 20]])->verdict->value);
    }

    public function test_what_bent_is_passed_only_while_a_gross_leak_is_excluded(): void
    {
        self::assertSame('settling', $this->vacuum([[0, 21], [80, 19], [160, 18.5], [240, 18.5]])->verdict->value);
        self::assertSame('leak', $this->vacuum([[0, 21], [90, 18], [180, 16.5]])->verdict->value, 'no circuit settles by so much');
        $bent = $this->pressure([[0, 100, 20], [80, 92, 20], [160, 90, 20], [240, 90, 20]]);
        self::assertSame('tight', $bent->verdict->value);
        $bent = $this->pressure([[0, 100, 20], [80, 84, 20], [160, 78, 20], [240, 74, 20]]);
        self::assertSame('inconclusive', $bent->verdict->value, 'no hose gives so much');
        self::assertSame('inconclusive', $this->pressure([[0, 100, 20], [90, 88, 20], [180, 82, 20]])->verdict->value);
    }

    public function test_no_circuit_settles_by_more_than_four_inches_however_many_readings(): void
    {
        self::assertNotSame(
            'settling',
            $this->vacuum([[0, 21], [80, 18], [160, 17], [240, 16.8], [320, 16.8]])->verdict->value,
        );
        self::assertSame(
            'settling',
            $this->vacuum([[0, 21], [80, 18.5], [160, 17.5], [240, 17], [320, 17]])->verdict->value,
        );
    }

    public function test_what_falls_late_has_opened_and_a_lone_last_drop_is_read_again(): void
    {
        self::assertSame(
            'opened',
            $this->vacuum([[0, 21], [100, 21], [200, 21], [300, 19.5], [400, 18]])->verdict->value,
        );
        self::assertSame('moved', $this->vacuum([[0, 21], [100, 21], [200, 21], [300, 19], [400, 19]])->verdict->value);
        self::assertSame(
            'leak',
            $this->vacuum([[0, 21], [60, 20.5], [120, 20.5], [180, 20], [240, 19.5], [300, 19]])->verdict->value,
        );
        $lone = $this->vacuum([[0, 21.5], [300, 21], [600, 21], [900, 16.5]]);
        self::assertSame('inconclusive', $lone->verdict->value);
        self::assertStringContainsString('Read again in a minute', $lone->reason);
    }

    public function test_nothing_that_falls_two_divisions_at_its_end_is_tight_or_settles(): void
    {
        foreach ([[100, 200, 300], [300, 600, 900], [60, 120, 600]] as [$second, $third, $fourth]) {
            for ($shape = 0; $shape < 343; $shape++) {
                [$a, $b, $c] = [$shape % 7, intdiv($shape, 7) % 7, intdiv($shape, 49)];
                $said = $this->vacuum([
                    [0, 21.5],
                    [$second, 21.5 - 0.5 * $a],
                    [$third, 21.5 - 0.5 * ($a + $b)],
                    [$fourth, 21.5 - 0.5 * ($a + $b + $c)],
                ])->verdict->value;
                if (in_array($said, ['tight', 'settling'], true)) {
                    self::assertLessThanOrEqual(2, $c, "{$a}, {$b}, {$c}");
                    self::assertLessThanOrEqual(8, $a + $b + $c, "{$a}, {$b}, {$c}");
                }
            }
        }
    }

    public function test_a_pressure_that_has_emptied_is_not_tight(): void
    {
        self::assertSame('lost', $this->pressure([[0, 100, 20], [300, 0, 20], [600, 0, 20]])->verdict->value);
        self::assertSame('lost', $this->pressure([[0, 100, 20], [300, 50, 20]])->verdict->value);
        self::assertNotSame('lost', $this->pressure([[0, 100, 20], [300, 50.1, 20]])->verdict->value);
        self::assertNotSame('tight', $this->pressure([[0, 100, 20], [60, 60, 20], [600, 60, 20]])->verdict->value);
    }

    public function test_a_needle_that_rises_is_no_hold(): void
    {
        self::assertStringContainsString('deeper', $this->vacuum([[0, 20], [300, 20], [600, 20.76]])->reason);
        self::assertStringNotContainsString('deeper', $this->vacuum([[0, 20], [300, 20], [600, 20.74]])->reason);
    }

    /** Choked flow of air at 20 °C through a hole, and Hagen–Poiseuille for coolant: worked by hand. */
    public function test_the_hole_and_what_it_weeps(): void
    {
        $hold = $this->vacuum([[0, 21], [120, 20], [240, 19], [360, 18]]);
        $flow = $hold->airLeakMlPerMinute() / 60e6;
        $area = $flow / (0.8 * 343.2 * 0.5787);
        self::assertEqualsWithDelta(2e6 * sqrt($area / M_PI), $hold->holeMicrometres(), 0.2);
        self::assertNull($this->vacuum([[0, 21], [600, 21]])->holeMicrometres());
        $drives = (85.39 ** 2 - (85.39 - 21 * 3.386389) ** 2) / (2 * 85.39);
        self::assertEqualsWithDelta(31 * 1440 * (103 / 4.0e-3) / ($drives / 1.8e-5), $hold->weepMlPerDay(31, 103), 0.5);
        self::assertSame(0.0, $this->vacuum([[0, 0], [300, 21], [600, 21]])->weepMlPerDay(31, 103), 'nothing drew');
    }

    /**
     * Only a pump brings a needle back, so what stood before it came
     * back is another hold (common practice, no source).
     */
    public function test_what_came_back_was_pumped_again_and_nothing_before_it_proves(): void
    {
        foreach ([1, 2, 3, 6, 12, 43] as $divisions) {
            $vacuum = $this->vacuum([[0, 21.5], [300, 21.5 - 0.5 * $divisions], [900, 21.5]]);
            $pressure = $this->pressure([[0, 100, 20], [300, max(51, 100 - 2 * $divisions), 20], [900, 100, 20]]);
            self::assertSame($divisions <= 2 ? 'tight' : 'inconclusive', $vacuum->verdict->value, "{$divisions}");
            self::assertSame($divisions <= 2 ? 'tight' : 'inconclusive', $pressure->verdict->value, "{$divisions}");
            self::assertSame($divisions <= 2 ? 0.0 : 900.0, $vacuum->startsAt);
        }
        $again = $this->vacuum([[0, 21.5], [300, 18], [840, 21.5], [900, 21.5], [1440, 21.5]]);
        self::assertSame('tight', $again->verdict->value);
        self::assertSame(
            $this->vacuum([[0, 21.5], [60, 21.5], [600, 21.5]])->boundMlPerMinute(),
            $again->boundMlPerMinute(),
        );
        self::assertSame('lost', $this->pressure([[0, 100, 20], [300, 50, 20], [900, 100, 20]])->verdict->value);
    }

    public function test_a_warm_engine_is_tested_two_minutes_at_most_and_never_tight_alone(): void
    {
        $warm = fn (float $seconds) => $this->pressure([[0, 100, 20], [$seconds, 100, 20]], true);
        self::assertStringContainsString('hides a weep', $warm(120)->reason);
        self::assertStringContainsString('after two minutes', $warm(121)->reason);
        self::assertSame(PressureVerdict::Inconclusive, $warm(120)->verdict);
    }

    public function test_a_pressure_test_needs_a_minute_its_order_and_four_fifths(): void
    {
        self::assertSame('inconclusive', $this->pressure([[0, 100, 20], [59, 100, 20]])->verdict->value);
        self::assertSame('tight', $this->pressure([[0, 100, 20], [61, 100, 20]])->verdict->value);
        self::assertSame('inconclusive', $this->pressure([[0, 100, 20]])->verdict->value);
        self::assertStringContainsString('no more than the gauge', $this->pressure([[0, 100, 20], [300, 99, 20]])->reason);
        self::assertStringContainsString(
            'hoses giving',
            $this->pressure([[0, 100, 20], [60, 96, 20], [300, 96, 20], [600, 96, 20], [900, 96, 20]])->reason,
        );
        self::assertSame('no_test', $this->pressure([[0, 79.9, 20], [300, 79.9, 20]])->verdict->value);
        self::assertSame('tight', $this->pressure([[0, 80, 20], [300, 80, 20]])->verdict->value);
        $this->expectException(InvalidField::class);
        $this->pressure([[0, 100, 20], [0, 100, 20]]);
    }

    /** The gas law: 201.3 kPa and 293.15 K, one kelvin is 0.687 kPa. */
    public function test_temperature_is_taken_out_by_the_gas_law(): void
    {
        $warmer = $this->pressure([[0, 100, 20], [150, 100.7, 21], [300, 101.4, 22]]);
        self::assertEqualsWithDelta(2 * 201.3 / 293.15, $warmer->temperatureEffectKpa, 1e-9);
        self::assertSame('tight', $warmer->verdict->value);
    }

    /** 4 kPa in 5 min, 1 L of gas at 201.3 kPa and hoses of 1.5 mL a kPa. */
    public function test_a_loss_in_millilitres(): void
    {
        $loses = $this->pressure([[0, 100, 20], [75, 98, 20], [150, 96, 20], [225, 94, 20], [300, 92, 20]]);
        self::assertSame('leak', $loses->verdict->value);
        self::assertEqualsWithDelta(8 / 5 * (1000 / 201.3 + 1.5), $loses->lossMlPerMinute, 0.01);
        self::assertGreaterThan($loses->lossMlPerMinute, $loses->boundMlPerMinute);
    }

    /** @param  list<array{float|int, float|int}>  $points */
    private function vacuum(array $points, ?float $target = null): VacuumHold
    {
        return new VacuumHold(
            Atmosphere::ofBarometer(Pressure::kilopascals(85.39)),
            Volume::litres(8),
            array_map(
                fn (array $p) => new GaugeReading((float) $p[0], Pressure::inchesOfMercury((float) $p[1])),
                $points,
            ),
            Pressure::inchesOfMercury(0.5),
            $target === null ? null : Pressure::inchesOfMercury($target),
        );
    }

    /** @param  non-empty-list<array{float|int, float|int, float|int}>  $points */
    private function pressure(array $points, bool $warm = false): PressureHold
    {
        return new PressureHold(
            array_map(fn (array $p) => new PressureReading(
                (float) $p[0],
                Pressure::kilopascals((float) $p[1]),
                Temperature::celsius((float) $p[2]),
            ), $points),
            Pressure::kilopascals(100),
            Pressure::kilopascals(101.3),
            1000.0,
            Pressure::kilopascals(2),
            $warm,
        );
    }
}
