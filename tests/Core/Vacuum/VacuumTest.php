<?php

declare(strict_types=1);

namespace Tests\Core\Vacuum;

use App\Calc\TopicList;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\GaugeReading;
use Aqbel\Core\Vacuum\HoldVerdict;
use Aqbel\Core\Vacuum\VacuumHold;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class VacuumTest extends TestCase
{
    public function test_the_same_quality_shows_less_at_elevation(): void
    {
        $here = Atmosphere::atElevation(Length::metres(1420));
        self::assertEqualsWithDelta(85.39, $here->pressure->kPa(), 0.01);
        self::assertEqualsWithDelta(
            21.1,
            $here->sameQuality(Pressure::inchesOfMercury(25))->in(Unit::InchOfMercury),
            0.05,
        );
    }

    public function test_what_eight_litres_draw_in(): void
    {
        $plan = $this->calc(
            'vacuum-plan',
            [
                'elevation_m' => 0,
                'void_ml' => 8000,
                'temp_c' => 20,
                'base' => 'ethylene_glycol',
                'volume_fraction' => 0.5,
            ],
        );
        self::assertEqualsWithDelta(1197, $plan['residual_air_ml'], 1);
        self::assertEqualsWithDelta(6803, $plan['intake_ml'], 1);
        self::assertTrue($plan['attainable']);
        $warm = $this->calc(
            'vacuum-plan',
            [
                'elevation_m' => 1420,
                'void_ml' => 8000,
                'temp_c' => 70,
                'base' => 'ethylene_glycol',
                'volume_fraction' => 0.5,
            ],
        );
        self::assertFalse($warm['attainable']);
        self::assertLessThan(70, $warm['max_temp_c']);
    }

    public function test_the_needle_tells_what_is_still_to_come(): void
    {
        $progress = $this->calc(
            'vacuum-progress',
            ['barometer_kpa' => 101.325, 'start_inhg' => 25, 'now_inhg' => 21, 'added_ml' => 3785, 'vapour_kpa' => 1.8],
        );
        self::assertEqualsWithDelta(7940, $progress['void_ml'], 10);
        self::assertEqualsWithDelta(0.477, $progress['filled_fraction'], 0.001);
        self::assertEqualsWithDelta(2970, $progress['remaining_ml'], 10);
        self::assertLessThan($progress['void_ml'], $progress['void_ml_low']);
        self::assertGreaterThan($progress['void_ml'], $progress['void_ml_high']);
    }

    /** @return array<string, array{list<array{float|int, float|int}>, HoldVerdict}> */
    public static function holds(): array
    {
        return [
            'steady' => [[[0, 21], [300, 21], [900, 20.8]], HoldVerdict::Tight],
            'straight line' => [[[0, 21], [120, 20], [240, 19], [360, 18]], HoldVerdict::Leak],
            'bend that stands' => [
                [[0, 21], [60, 19.6], [120, 19.3], [300, 19.2], [600, 19.2], [900, 19.2]], HoldVerdict::Settling,
            ],
            'too short' => [[[0, 21], [20, 20], [40, 19]], HoldVerdict::Inconclusive],
            'two readings' => [[[0, 21], [600, 18]], HoldVerdict::Inconclusive],
            'two readings far apart' => [[[0, 21], [600, 15]], HoldVerdict::Leak],
            'growing deeper' => [[[0, 20], [300, 20.5], [600, 21]], HoldVerdict::Inconclusive],
        ];
    }

    /** @param  list<array{float|int, float|int}>  $points */
    #[DataProvider('holds')]
    public function test_a_leak_is_a_line_and_settling_a_bend(array $points, HoldVerdict $expected): void
    {
        self::assertSame($expected, $this->hold($points)->verdict);
    }

    public function test_leak_rate_hole_and_what_the_gauge_can_show(): void
    {
        $hold = $this->hold([[0, 21], [120, 20], [240, 19], [360, 18]]);
        $rate = 0.5 * 3.386389;
        self::assertEqualsWithDelta($rate, $hold->rateKpaPerMinute(), 1e-6);
        self::assertEqualsWithDelta($rate * 8000 / 85.39, $hold->airLeakMlPerMinute(), 0.01);
        self::assertEqualsWithDelta(0.5 * 3.386389 * 8000 / (85.39 * 6), $hold->detectableMlPerMinute(), 0.01);
        // Choked flow scales with area: a quarter of the leak is half the hole.
        $slower = $this->hold([[0, 21], [480, 20], [960, 19], [1440, 18]]);
        self::assertEqualsWithDelta($hold->holeMicrometres() / 2, $slower->holeMicrometres(), 0.01);
    }

    public function test_readings_must_follow_each_other_and_fit_the_air(): void
    {
        foreach ([[[[0, 21], [0, 20]], 'readings.1.t_s'], [[[0, 27]], 'readings.0.inhg']] as [$points, $field]) {
            try {
                $this->hold($points);
                self::fail('accepted');
            } catch (InvalidField $invalid) {
                self::assertSame($field, $invalid->field);
            }
        }
    }

    /** @param  list<array{float|int, float|int}>  $points */
    private function hold(array $points): VacuumHold
    {
        return new VacuumHold(Atmosphere::ofBarometer(Pressure::kilopascals(85.39)), Volume::litres(8),
            array_map(
                fn (array $p) => new GaugeReading((float) $p[0], Pressure::inchesOfMercury((float) $p[1])),
                $points,
            ), Pressure::inchesOfMercury(0.5));
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, mixed>
     */
    private function calc(string $topic, array $in): array
    {
        return TopicList::answer($topic, (string) json_encode($in));
    }
}
