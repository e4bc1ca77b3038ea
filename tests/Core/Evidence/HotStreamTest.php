<?php

declare(strict_types=1);

namespace Tests\Core\Evidence;

use App\Calc\TopicList;
use Aqbel\Core\Evidence\Code;
use Aqbel\Core\Evidence\Evidence;
use Aqbel\Core\Evidence\HotStream;
use Aqbel\Core\Evidence\RunFacts;
use Aqbel\Core\Evidence\Silence;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Virtual\Action;
use Aqbel\Core\Virtual\Faults;
use Aqbel\Core\Virtual\Trace;
use Aqbel\Core\Virtual\Vehicle;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Demo;

/** Streams of the virtual vehicle, thinned, with gaps and stray points, held against what was so. */
final class HotStreamTest extends TestCase
{
    private const SEEDS = 10;

    private const CIRCUITS = ['taxi-engine', 'post-van', 'rescue-ambulance', 'school-minibus'];

    /** @return array<string, array{list<string>, list<Action>, float}> faults, actions, seconds, by kind of run */
    private static function kinds(): array
    {
        return [
            'idle' => [[], [], 3300.0],
            'revs' => [[], [new Action(500.0, 'rpm', 2200.0), new Action(700.0, 'rpm', 800.0)], 3300.0],
            'shut' => [['thermostat:shut'], [], 1400.0],
            'stuck open' => [['thermostat:open'], [], 2400.0],
            'no fan' => [['fan:dead'], [], 3600.0],
            'heater pocket' => [['pocket:heater'], [new Action(0.0, 'heater', 0.0)], 1500.0],
            'sensor in air' => [['pocket:sensor'], [], 1500.0],
            'shut off half-way' => [[], [new Action(900.0, 'stop')], 1800.0],
            'shut off at the top' => [['fan:dead'], [new Action(1700.0, 'stop')], 2600.0],
            'weak fan' => [['fan:weak'], [], 3300.0],
            'heater off' => [[], [new Action(0.0, 'heater', 0.2)], 3000.0],
            'two holds' => [
                [],
                [
                    new Action(300.0, 'rpm', 1800.0),
                    new Action(360.0, 'rpm', 800.0),
                    new Action(900.0, 'rpm', 2500.0),
                    new Action(1000.0, 'rpm', 800.0),
                ],
                2800.0,
            ],
        ];
    }

    public function test_each_code_is_told_where_it_is_and_not_where_it_is_not(): void
    {
        [$has, $told, $hasNot, $called] = [[], [], [], []];
        foreach (self::kinds() as $kind => [$faults, $actions, $seconds]) {
            for ($seed = 1; $seed <= self::SEEDS; $seed++) {
                [$circuit, $trace] = self::trace($faults, $actions, $seconds, $seed);
                $facts = RunFacts::of(Demo::circuit($circuit)->facts, null);
                $stream = new HotStream($facts, self::thinned($trace, $seed));
                $truth = self::truth($trace, $facts, $kind);
                foreach ($truth as $code => $moments) {
                    $found = array_map(
                        fn (Evidence $one) => $one->fromS,
                        array_filter($stream->evidence, fn (Evidence $one) => $one->code->value === $code),
                    );
                    if ($moments === []) {
                        $hasNot[$code] = ($hasNot[$code] ?? 0) + 1;
                        $called[$code] = ($called[$code] ?? 0) + (int) ($found !== []);
                    } elseif ($moments !== null) {
                        $has[$code] = ($has[$code] ?? 0) + 1;
                        // The first of it, within a minute and a half.
                        $told[$code]
                            = ($told[$code] ?? 0) + (int) ($found !== [] && abs(min($found) - $moments[0]) <= 90.0);
                    }
                }
            }
        }
        foreach ($has as $code => $runs) {
            self::assertGreaterThanOrEqual(0.93, $told[$code] / $runs, "{$code}: told in {$told[$code]} of {$runs}");
        }
        foreach ($hasNot as $code => $runs) {
            self::assertLessThanOrEqual(0.03, $called[$code] / $runs, "{$code}: called in {$called[$code]} of {$runs}");
        }
        self::assertSame(
            [],
            array_diff(
                [
                    'thermostat_open',
                    'thermostat_shut',
                    'fan_on',
                    'fan_off',
                    'limit_reached',
                    'sensor_in_air',
                    'outlet_cold_while_hot',
                    'rpm_hold',
                    'engine_off',
                ],
                array_keys($has),
            ),
            'each was there',
        );
    }

    public function test_silence_with_the_engine_running_is_said_and_silence_after_it_is_not(): void
    {
        $points = fn (float $from, float $to, float $value): array => array_map(
            fn (int $t): array => [(float) $t, $value],
            range((int) $from, (int) $to, 2),
        );
        $facts = new RunFacts(85.0, 95.0, 98.0, 93.0, 106.0);
        $gap = new HotStream($facts, [
            'rpm' => [...$points(0, 100, 800.0), ...$points(150, 200, 800.0)],
            'coolant_c' => [...$points(0, 100, 60.0), ...$points(150, 200, 66.0)],
        ]);
        self::assertSame([130.0], $this->times($gap, Code::Silent));
        $off = new HotStream($facts, ['rpm' => [...$points(0, 100, 800.0), [102.0, 0.0], [190.0, 0.0]]]);
        self::assertSame([], $this->times($off, Code::Silent));
        self::assertSame([102.0], $this->times($off, Code::EngineOff));
        // A channel alone that falls silent while another goes on is none.
        self::assertSame(
            [],
            $this->times(
                new HotStream($facts, ['rpm' => $points(0, 200, 800.0), 'coolant_c' => $points(0, 60, 50.0)]),
                Code::Silent,
            ),
        );
    }

    public function test_it_is_silent_only_while_every_channel_is(): void
    {
        $points = fn (float ...$times): array => array_map(fn (float $t): array => [$t, 1.0], array_values($times));
        $found = fn (array ...$channels): array => array_map(
            fn (Silence $one): array => [$one->fromS, $one->toS],
            Silence::all(array_combine(range(1, count($channels)), $channels), 30.0),
        );
        self::assertSame([[20.0, 80.0]], $found($points(0.0, 20.0, 80.0)));
        self::assertSame([], $found($points(0.0, 20.0, 80.0, 140.0), $points(50.0, 110.0)), 'they take turns');
        self::assertSame(
            [[20.0, 60.0], [80.0, 140.0]],
            $found($points(0.0, 20.0, 80.0, 140.0), $points(140.0, 60.0, 0.0, 65.0)),
            'in whatever order they came',
        );
        self::assertSame([], $found($points(0.0), $points(20.0)), 'what follows the last is told by the clock');
        self::assertSame(
            [[20.0, 90.0]],
            $found($points(0.0, 20.0), $points(90.0, 91.0), $points(10.0)),
            'one that ended before another began',
        );
    }

    public function test_one_reading_past_the_limit_is_danger_and_a_reading_of_nothing_is_none(): void
    {
        $facts = new RunFacts(85.0, 95.0, 98.0, 93.0, 106.0);
        $calm = array_map(fn (int $t): array => [(float) $t, 90.0], range(0, 100));
        self::assertFalse((new HotStream($facts, ['coolant_c' => $calm]))->danger);
        $over = new HotStream($facts, ['coolant_c' => [...$calm, [101.0, 107.0], [102.0, 90.0]]]);
        self::assertTrue($over->danger);
        self::assertSame([101.0], $this->times($over, Code::LimitReached));
        self::assertFalse(
            (new HotStream($facts, ['coolant_c' => [...$calm, [101.0, -40.0], [102.0, 215.0], [103.0, 90.0]]]))->danger,
            'no instrument reads that',
        );
    }

    public function test_minutes_to_the_limit_are_those_of_the_slope(): void
    {
        $facts = new RunFacts(85.0, 95.0, 98.0, 93.0, 110.0);
        $climbs = array_map(fn (int $t): array => [(float) $t, 90.0 + 2.0 * $t / 60.0], range(0, 300, 5));
        $stream = new HotStream($facts, ['coolant_c' => $climbs]);
        self::assertEqualsWithDelta(5.0, $stream->minutesToLimit, 0.05);
        self::assertNull(
            (new HotStream($facts, [
                'coolant_c' => array_map(fn (int $t): array => [(float) $t, 92.0], range(0, 300, 5)),
            ]))->minutesToLimit,
        );
        self::assertEqualsWithDelta(
            5.0,
            TopicList::answer(
                'evidence',
                (string) json_encode(['facts' => ['limit_c' => 110], 'channels' => ['coolant_c' => $climbs]]),
            )['minutes_to_limit'],
            0.05,
        );
    }

    public function test_what_a_fan_cools_and_what_comes_back_is_no_opening_of_one_that_is_stuck_open(): void
    {
        [$engine, $far, $channels] = [20.0, 20.0, ['coolant_c' => [], 'far_side_c' => []]];
        $fan = false;
        for ($t = 0.0; $t <= 2400.0; $t += 2.0) {
            $fan = $engine >= 97.0 || ($fan && $engine > 90.0);
            $engine += $fan ? -0.08 : 0.12;
            $far += ($fan ? $engine - 35.0 - $far : $engine - 6.0 - $far) * 0.06;
            $channels['coolant_c'][] = [$t, round($engine, 1)];
            $channels['far_side_c'][] = [$t, round($far, 1)];
        }
        $facts = new RunFacts(82.0, 92.0, 97.0, 90.0, 104.0);
        $stream = new HotStream($facts, $channels);
        self::assertSame([], $this->times($stream, Code::ThermostatOpen));
        self::assertGreaterThan(1, count($this->times($stream, Code::FanOn)));
        // The same, seen from the first fan on: nobody knows how it warmed, and the rise is believed.
        $later = array_map(
            fn (array $points): array => array_values(array_filter($points, fn (array $point) => $point[0] > 1300.0)),
            $channels,
        );
        self::assertNotSame([], $this->times(new HotStream($facts, $later), Code::ThermostatOpen));
    }

    public function test_a_broken_channel_is_refused_by_its_point(): void
    {
        try {
            TopicList::answer(
                'evidence',
                (string) json_encode(['channels' => ['coolant_c' => [[0, 20], [1, 'warm']]]]),
            );
            self::fail();
        } catch (InvalidField $invalid) {
            self::assertSame('channels.coolant_c.1', $invalid->field);
        }
    }

    public function test_an_hour_of_one_point_a_second_is_judged_at_once(): void
    {
        $trace = self::trace([], [], 3600.0, 1)[1];
        $began = hrtime(true);
        new HotStream(RunFacts::of(Demo::circuit('taxi-engine')->facts, null), $trace->channels);
        // No timed test: a bound an order of magnitude away, that only a quadratic walk would pass.
        self::assertLessThan(20.0, (hrtime(true) - $began) / 1.0e9);
    }

    /** @return list<float> */
    private function times(HotStream $stream, Code $code): array
    {
        return array_values(
            array_map(
                fn (Evidence $one) => $one->fromS,
                array_filter($stream->evidence, fn (Evidence $one) => $one->code === $code),
            ),
        );
    }

    /**
     * Moments at which a code is true, none where it is not; null where nobody could say.
     *
     * @return array<string, ?list<float>>
     */
    private static function truth(Trace $trace, RunFacts $facts, string $kind): array
    {
        $first = function (string $channel, \Closure $is) use ($trace): array {
            foreach ($trace->channels[$channel] ?? [] as [$t, $v]) {
                if ($is($t, $v)) {
                    return [$t];
                }
            }

            return [];
        };
        $over = $first('coolant_c', fn (float $t, float $v): bool => $v >= ($facts->limitC ?? INF));
        $end = $trace->channels['coolant_c'][count($trace->channels['coolant_c']) - 1][0];
        // What begins in the last minutes shows afterwards.
        $shows = fn (array $moments): ?array => $moments === [] ? [] : ($moments[0] > $end - 240.0 ? null : $moments);
        // A fan that cannot turn the coolant round, or not so far, shows nothing.
        $dips = fn (): bool => $trace->fanOffS !== [];
        $isShut = in_array($kind, ['shut'], true);

        return [
            'thermostat_open' => $kind === 'sensor in air' || $kind === 'stuck open'
                    ? ($kind === 'stuck open'
                        ? []
                        : null)
                    : $shows($trace->openedAtS === null ? [] : [$trace->openedAtS]),
            'thermostat_shut' => $isShut
                ? $shows($first('coolant_c', fn (float $t, float $v): bool => $v >= ($facts->fullC ?? INF) + 3.0))
                : ($kind === 'sensor in air'
                    ? null
                    : []),
            'fan_on' => $trace->fanOnS === [] || $kind === 'sensor in air'
                    ? ($trace->fanOnS === []
                        ? []
                        : null)
                    : ($dips()
                        ? $shows($trace->fanOnS)
                        : null),
            'fan_off' => $trace->fanOffS === [] ? [] : ($kind === 'sensor in air' ? null : $shows($trace->fanOffS)),
            'limit_reached' => $kind === 'sensor in air' ? null : $over,
            'sensor_in_air' => $kind === 'sensor in air'
                    ? $first('far_side_c', fn (float $t, float $v): bool => $v >= 70.0 && $t < $end - 90.0)
                    : [],
            'outlet_cold_while_hot' => $kind === 'heater pocket'
                    ? $shows($first('coolant_c', fn (float $t, float $v): bool => $v >= 80.0))
                    : (in_array($kind, ['idle', 'revs', 'no fan'], true)
                        ? null
                        : null),
            'rpm_hold' => match ($kind) {
                'revs' => [500.0], 'two holds' => [300.0], default => [],
            },
            'engine_off' => match ($kind) {
                'shut off half-way' => [900.0], 'shut off at the top' => [1700.0], default => [],
            },
            'silent' => [],
        ];
    }

    /**
     * @param  list<string>  $faults
     * @param  list<Action>  $actions
     * @return array{string, Trace}
     */
    private static function trace(array $faults, array $actions, float $seconds, int $seed): array
    {
        $circuit = self::CIRCUITS[$seed % count(self::CIRCUITS)];
        $ambient = -5.0 + 5.0 * ($seed % 7);

        return [
            $circuit,
            Vehicle::run(
                Demo::circuit($circuit),
                Faults::of($faults),
                $seed,
                Atmosphere::atElevation(Length::metres(410.0)),
                $ambient,
                [new Action(0.0, 'start'), ...$actions],
                $seconds,
            ),
        ];
    }

    /**
     * As other instruments would give it: one point in half a second to
     * fifteen, at no even times, with a gap and a stray point.
     *
     * @return array<string, list<array{float, float}>>
     */
    private static function thinned(Trace $trace, int $seed): array
    {
        $chance = new Randomizer(new Mt19937(1000 + $seed));
        $every = [1, 2, 4, 8, 12][$seed % 5];
        $channels = [];
        foreach ($trace->channels as $name => $points) {
            $next = 0.0;
            foreach ($points as [$t, $v]) {
                if ($t >= $next) {
                    $channels[$name][] = [
                        round($t + $chance->getInt(0, 900) / 1000.0, 2),
                        $name === 'far_side_c' && $seed % 2 === 0 ? round($v) : $v,
                    ];
                    $next = $t + $every * (0.7 + (0.6 * $chance->getInt(0, 1000)) / 1000.0);
                }
            }
        }
        // One point that is none.
        $channels['coolant_c'][] = [400.5, 20.0];

        return $channels;
    }
}
