<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Schools\Aid;
use Aqbel\Core\Schools\Combination;
use Aqbel\Core\Schools\Combinations;
use Aqbel\Core\Schools\RunsUntil;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Schools\WarmedBy;
use Aqbel\Core\Schools\Way;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;
use Tests\Journeys\Journey;

/** Ways that are put together for a circuit: they make sense, bring what they say, and can be worked to their end. */
final class CombinationsTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function circuits(): iterable
    {
        foreach (Demo::keys() as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('circuits')]
    public function test_each_brings_what_it_says_and_none_is_beaten(string $key): void
    {
        $circuit = Demo::circuit($key);
        $on = self::on($key, Tool::cases());
        $all = Combinations::of(Demo::planner(), $on);
        self::assertLessThanOrEqual(Combinations::MOST, count($all));
        foreach ($all as $one) {
            self::assertNull(Demo::planner()->misfit($one->way, $on), 'it fits');
            self::assertSame(
                array_map(fn (Aid $aid) => $aid->value, $one->way->aids),
                array_keys($one->brings),
                'each aid says what it brings',
            );
            foreach ($one->brings as $aid => $ml) {
                self::assertGreaterThan(0.0, $ml, "{$aid} does something");
            }
            self::assertSame([], array_filter($all, fn (Combination $other) => $one->isWorseThan($other)));
            // None is another name for a way that stands in the comparison already.
            self::assertTrue(
                $one->way->aids !== []
                    || ! in_array($one->way->warmedBy, [WarmedBy::Sealed, WarmedBy::UnderFunnel], true),
            );
        }
        $minutes = array_map(fn (Combination $one) => $one->likelyMinutes()->total(), $all);
        $sorted = $minutes;
        sort($sorted);
        self::assertSame($sorted, $minutes, 'soonest first');
        self::assertGreaterThan(0.0, $circuit->capacityMl());
    }

    #[DataProvider('circuits')]
    public function test_every_one_of_them_is_worked_to_its_signature(string $key): void
    {
        $played = 0;
        foreach (Combinations::of(Demo::planner(), self::on($key, Tool::cases())) as $one) {
            $choices = [
                'fill' => $one->way->fill->value,
                'warm_up' => $one->way->warmedBy->value,
                'aids' => array_map(fn (Aid $aid) => $aid->value, $one->way->aids),
                'end' => $one->way->until->value,
                'elevation_m' => 1420,
            ];
            $journey = new Journey([
                'about' => 'a way put together',
                'circuit' => $key,
                'choices' => $choices,
                'lines' => [['until' => 'sign_off'], ['do' => 'sign_off']],
            ]);
            $journey->play();
            self::assertTrue(
                $journey->state()->isSigned(),
                json_encode($choices)."\n".($journey->state()->stepInHand()->id ?? ''),
            );
            self::assertCount(
                1,
                array_filter($journey->state()->steps, fn ($step) => $step->kind === 'heat_cycle'),
                'no longer than its evidence asks',
            );
            $played++;
        }
        self::assertGreaterThanOrEqual(0, $played);
    }

    public function test_an_aid_is_offered_where_the_tool_is_and_it_helps(): void
    {
        $aids = fn (array $tools): array => array_unique(
            array_merge(
                ...array_map(
                    fn (Combination $one) => array_keys($one->brings),
                    Combinations::of(Demo::planner(), self::on('post-van', $tools)),
                ),
            ),
        );
        self::assertSame(['vent_pressure'], array_values($aids([Tool::PressureTester])));
        self::assertSame([], $aids([Tool::Refractometer]));
    }

    /** Every way that can be put together, each by itself and with each aid. */
    #[DataProvider('circuits')]
    public function test_no_tester_sits_on_the_neck_where_a_funnel_stands(string $key): void
    {
        $on = self::on($key, Tool::cases());
        $pressed = 0;
        foreach (SchoolCatalogue::standard()->for($on->circuit) as $school) {
            foreach (WarmedBy::cases() as $warmedBy) {
                foreach ([[], ...array_map(fn (Aid $aid) => [$aid], Aid::cases())] as $aids) {
                    $way = Way::made($school, $warmedBy, $aids, RunsUntil::OneRun);
                    if ($way === null || Demo::planner()->misfit($way, $on) !== null) {
                        continue;
                    }
                    $kinds = array_map(fn (Step $step) => $step->kind, Demo::planner()->by($way, $on)->steps);
                    $until = array_search('funnel_off', $kinds, true);
                    $meanwhile = $until === false ? [] : array_slice($kinds, 0, $until);
                    $tested = fn (array $kinds): array => array_intersect(
                        ['pressure_test', 'vent_under_pressure'],
                        $kinds,
                    );
                    self::assertSame([], $tested($meanwhile), $way->id());
                    self::assertSame($until !== false, in_array('funnel', $meanwhile, true), "{$way->id()}: put on first");
                    $pressed += $tested($kinds) === [] ? 0 : 1;
                }
            }
        }
        self::assertGreaterThan(0, $pressed, 'elsewhere it does');
    }

    /** @param  list<Tool>  $tools */
    private static function on(string $key, array $tools): Groundwork
    {
        $circuit = Demo::circuit($key);

        return Demo::planner()->groundwork(
            $circuit,
            Demo::repair($circuit, new HouseRules(), $tools),
        );
    }
}
