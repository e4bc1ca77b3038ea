<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\AirRoute;
use Aqbel\Core\Flow\AirRoutes;
use Aqbel\Core\Flow\CellState;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Plan\AirRanges;
use Aqbel\Core\Plan\AirsWay;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\Frees;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\PredictedFill;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** The way of the air, held against fills of the model that are made anew here. */
final class AirsWayTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function circuits(): iterable
    {
        foreach (Demo::keys() as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('circuits')]
    public function test_what_is_said_to_free_a_pocket_leaves_what_a_fill_that_way_leaves(string $key): void
    {
        $circuit = Demo::circuit($key);
        foreach ([null, []] as $bleeds) {
            $plan = $this->plan($key, $bleeds);
            $pour = $plan->school->pours($circuit, $plan->choices)[0];
            foreach (AirsWay::of($circuit, $plan)->caught as $caught) {
                foreach ($caught->freers as $freer) {
                    self::assertLessThan($caught->pocket->volumeMl(), $freer->leavesMl + 1.0);
                    self::assertLessThan($plan->fill->airMl, $freer->airMl, 'it helps in the whole circuit too');
                    $up = $freer->by === Frees::Raise ? $freer->byMm : 0.0;
                    $high = $freer->by === Frees::Funnel ? $freer->byMm : 0.0;
                    if (in_array($freer->by, [Frees::Point, Frees::Raise, Frees::Funnel], true)) {
                        $open = array_filter([...$pour->open, $freer->port], fn (string $port) => $port !== '');
                        $fill = Filling::of(
                            $circuit,
                            $pour->at,
                            array_values($open),
                            $circuit->usualGates(),
                            $pour->noseLiftMm + $up,
                            $pour->headMm + $high,
                            $plan->choices->atmosphere()->pressure->kPa(),
                        );
                        self::assertEqualsWithDelta($fill->airMl, $freer->airMl, 1.0e-6);
                    }
                }
            }
        }
    }

    public function test_a_shut_bleed_point_is_what_frees_the_air_before_it(): void
    {
        $way = AirsWay::of(Demo::circuit('school-minibus'), $this->plan('school-minibus', []));
        self::assertCount(1, $way->caught, 'the housing is the highest place, and all air behind it hangs together');
        self::assertSame(
            [Frees::Point, 'bleed_housing'],
            [$way->caught[0]->freers[0]->by, $way->caught[0]->freers[0]->port],
        );
        // No engine is run on dry jackets, so running it is no way out.
        self::assertNotContains(Frees::Run, array_map(fn ($freer) => $freer->by, $way->caught[0]->freers));
    }

    /** A plan of which nothing is known but that so much air stays in the heater's second half. */
    private function withAir(float $ml): AirsWay
    {
        $plan = $this->plan('post-van', []);
        $fill = new PredictedFill(
            5000.0,
            $plan->fill->coolantMl,
            $plan->fill->runs,
            [new Pocket(new Volumes(['heater_core_b' => $ml]), false, 900.0)],
        );

        return AirsWay::of(
            Demo::circuit('post-van'),
            new Plan($plan->school, $plan->choices, $plan->steps, $plan->predicted, $fill),
        );
    }

    public function test_what_leaves_half_of_a_pocket_or_more_does_not_free_it(): void
    {
        $byPoint = function (float $ml): ?float {
            foreach ($this->withAir($ml)->caught[0]->freers as $freer) {
                if ($freer->by === Frees::Point && $freer->port === 'bleed_heater') {
                    return $freer->leavesMl;
                }
            }

            return null;
        };
        $leaves = (float) $byPoint(5000.0);
        self::assertGreaterThan(100.0, $leaves);
        self::assertNotNull($byPoint($leaves / 0.48));
        self::assertNull($byPoint($leaves / 0.52));
    }

    public function test_two_thousandths_of_the_capacity_are_not_gone_after(): void
    {
        $capacity = Demo::circuit('post-van')->capacityMl();
        self::assertCount(1, $this->withAir(0.0021 * $capacity)->caught);
        self::assertCount(0, $this->withAir(0.0019 * $capacity)->caught);
    }

    public function test_in_the_middle_of_a_pour_every_open_stretch_of_air_has_a_way_out(): void
    {
        $dry = 0;
        foreach (array_map(Demo::circuit(...), Demo::keys()) as $circuit) {
            $neck = $circuit->fillPort()->id;
            $open = [$neck, ...$circuit->portIds(PortKind::Bleed)];
            foreach ([0.2, 0.5, 0.8] as $share) {
                $fill = Filling::of(
                    $circuit,
                    $neck,
                    array_slice($open, 1),
                    $circuit->usualGates(),
                    volumeMl: $share * $circuit->capacityMl(),
                );
                $routes = AirRoutes::of($circuit, $fill->runs, $open);
                foreach (array_keys($circuit->passages) as $id) {
                    $states = array_unique(array_map(fn ($run) => $run->state, $fill->runs->of($id)), SORT_REGULAR);
                    if ($states === [CellState::Air]) {
                        $dry++;
                        self::assertArrayHasKey($id, $routes, "{$id} at {$share}");
                        self::assertTrue(
                            $this->leadsOut($routes, $circuit, $id),
                            "{$id}: its way ends before {$routes[$id]->port}",
                        );
                    }
                }
            }
        }
        self::assertGreaterThan(100, $dry);
    }

    /** @param  array<string, AirRoute>  $routes */
    private function leadsOut(array $routes, Circuit $circuit, string $id): bool
    {
        $port = $circuit->ports[$routes[$id]->port]->node;
        for ($i = 0; $i < count($circuit->passages); $i++) {
            if ($routes[$id]->towards === $port) {
                return true;
            }
            foreach ($routes as $next) {
                $passage = $circuit->passages[$next->passage];
                if (
                    $next->passage !== $id
                    && in_array($routes[$id]->towards, [$passage->from, $passage->to], true)
                    && $next->towards !== $routes[$id]->towards
                    && $next->port === $routes[$id]->port
                ) {
                    $id = $next->passage;

                    continue 2;
                }
            }

            return false;
        }

        return false;
    }

    public function test_the_range_of_each_way_is_around_what_it_leaves(): void
    {
        $circuit = Demo::circuit('taxi-engine');
        $ranges = new AirRanges($circuit);
        $plan = $this->plan('taxi-engine', null);
        $range = $ranges->of($plan);
        self::assertTrue($range->low < $plan->fill->airMl && $plan->fill->airMl < $range->high);
        self::assertEquals($range, (new AirRanges($circuit))->of($plan), 'the same seed, the same range');
    }

    /** @param  ?list<string>  $bleeds */
    private function plan(string $key, ?array $bleeds): Plan
    {
        $circuit = Demo::circuit($key);
        $choices = new Choices(
            JobKind::Repair,
            Complaint::None,
            'gravity',
            [],
            $circuit->portIds(PortKind::Drain),
            410.0,
            0.0,
            0.45,
            0.0,
            new HouseRules(),
            bleeds: $bleeds,
        );
        $planner = Demo::planner();

        return $planner->by($planner->schools->of('gravity'), $planner->groundwork($circuit, $choices));
    }
}
