<?php

declare(strict_types=1);

namespace Tests\Core\Judges;

use Aqbel\Core\Heat\CoolDown;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Heat\Reading;
use Aqbel\Core\Heat\TopUp;
use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Vacuum\HoldFit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The figures the judges gave when their constants were chosen by the simulators beside this file. They are no truth:
 * who changes a constant sees here what it moves, and tries the simulators again.
 */
final class ChosenFiguresTest extends TestCase
{
    /**
     * @return list<array{list<array{float|int, float|int}>,
     * list<float>}> minutes and °C; τ, minutes, low, high, come back
     */
    public static function coolDowns(): array
    {
        return [
            [[[0, 95]], [65, 81.4296, 48.9522, 107.5167, 134.8043]],
            [[[0, 95], [15, 80]], [74.6507, 70.94, 58.582, 95.5719, 104.3623]],
            [[[0, 92], [10, 84], [30, 66]], [62.9998, 44.3508, 41.5702, 51.1008, 54.4323]],
            [[[0, 90], [25, 50]], [34.2121, 7.7904, 6.1546, 10.1176, 11.6912]],
            [[[0, 100], [20, 96]], [176.0796, 227.3597, 206.0632, 238.8196, 238.8196]],
        ];
    }

    /**
     * @param  list<array{float|int, float|int}>  $points
     * @param  list<float>  $expected
     */
    #[DataProvider('coolDowns')]
    public function test_a_cool_down(array $points, array $expected): void
    {
        $readings = array_map(fn (array $p) => new Reading((float) $p[0], Temperature::celsius((float) $p[1])), $points);
        $said = CoolDown::predict(Temperature::celsius(25), $readings, Temperature::celsius(45));
        self::assertEqualsWithDelta($expected, [
            $said->tauMinutes, $said->minutesFromLast, $said->minutesLow, $said->minutesHigh, $said->comeBackMinutes,
        ], 1.0e-3);
    }

    /** @return list<array{list<float|int>, string, list<float>}> mL; verdict; to come, low, high, leak */
    public static function topUps(): array
    {
        return [
            [[400, 150, 60], 'air', [42.2492, 6.6657, 62.2492, 0.0]],
            [[300, 200, 150], 'air', [339.3455, 221.7999, 359.3455, 0.0]],
            [[200, 190, 210], 'leak', [0.0, 0.0, 0.0, 200.0]],
            [[500, 300, 220, 205, 200], 'both', [2.4992, 0.0, 25.3701, 190.3337]],
            [[150, 150, 150, 150], 'leak', [0.0, 0.0, 0.0, 150.0]],
            [[800, 420, 260], 'air', [294.3045, 274.3045, 314.3045, 0.0]],
        ];
    }

    /**
     * @param  list<float|int>  $ml
     * @param  list<float>  $expected
     */
    #[DataProvider('topUps')]
    public function test_top_ups(array $ml, string $verdict, array $expected): void
    {
        $said = new TopUps(array_map(fn (float|int $one) => new TopUp((float) $one, 20.0), $ml), 30.0);
        self::assertSame($verdict, $said->verdict->value);
        self::assertEqualsWithDelta(
            $expected,
            [$said->stillToComeMl, $said->lowMl, $said->highMl, $said->leakMlPerCycle],
            1.0e-3,
        );
    }

    public function test_a_sweep_of_top_ups_reads_as_it_was_chosen(): void
    {
        $said = '';
        foreach ([0.3, 0.5, 0.65] as $ratio) {
            for ($leak = 0.0; $leak <= 120.0; $leak += 1.5) {
                $topUps = array_map(fn (int $n) => new TopUp(260.0 * $ratio ** $n + $leak, 20.0), range(0, 4));
                $judged = new TopUps($topUps, 20.0);
                $said .= $judged->verdict->value[0].(int) round($judged->highMl);
            }
        }
        self::assertSame('a7f3c55295d0a972795a15da2ffc2550a2144409', sha1($said));
    }

    /** @return list<array{list<float|int>, list<float|int>, list<float>}> divisions; seconds; what is likely */
    public static function holds(): array
    {
        return [
            [[0, 0, 0, 0], [0, 60, 120, 300], [0.00952, 0.00319, 0.0, 0.0, 0.0, 20.0, 0.82567]],
            [[0, 1, 2, 3, 4], [0, 120, 240, 360, 480], [0.9943, 0.10776, 0.0, 4.0, 0.0, 20.0, 4.8]],
            [[0, 2, 3, 3, 3], [0, 60, 120, 240, 400], [0.07449, 0.98567, 0.01432, 0.0, 3.1526, 60.0, 1.55596]],
            [[0, 0, 3, 3, 3, 3], [0, 60, 120, 180, 240, 300], [8.0E-5, 0.00112, 0.99888, 0.0, 2.84854, 20.0, 1.89182]],
            [[0, 1, 1, 2], [0, 100, 200, 300], [0.43825, 0.49191, 0.0084, 0.0, 2.10865, 180.0, 2.5026]],
        ];
    }

    /**
     * @param  non-empty-list<float|int>  $falls
     * @param  non-empty-list<float|int>  $seconds
     * @param  list<float>  $expected
     */
    #[DataProvider('holds')]
    public function test_a_falling_needle(array $falls, array $seconds, array $expected): void
    {
        $fit = HoldFit::of(array_map(floatval(...), $seconds), array_map(floatval(...), $falls));
        self::assertEqualsWithDelta(
            $expected,
            [
                $fit->leak,
                $fit->settling,
                $fit->moved,
                $fit->leakDivisions,
                $fit->settlingDivisions,
                $fit->tauSeconds,
                $fit->boundDivisions,
            ],
            1.0e-4,
        );
        self::assertTrue($fit->explained);
    }

    public function test_purging_by_running(): void
    {
        self::assertEqualsWithDelta(exp(-1), Purging::leftByCycle(), 1e-12);
        self::assertSame([1, 2, 3, 6], [
            Purging::cycles(300, 300), Purging::cycles(301, 300), Purging::cycles(1000, 300), Purging::cycles(1e6, 300),
        ]);
        self::assertSame(0.10, Purging::IDLE_PER_MINUTE);
    }
}
