<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Tie;
use Aqbel\Core\Plan\ComparedSchool;
use Aqbel\Core\Plan\Comparison;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\NeverRuns;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Quantity\UnitSystem;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

final class ComparisonTest extends TestCase
{
    public function test_only_schools_that_the_tools_allow_are_compared(): void
    {
        $names = fn (array $tools) => array_map(
            fn (ComparedSchool $s) => $s->school->id(),
            $this->compare('post-van', $tools)->schools,
        );
        self::assertEqualsCanonicalizing(['gravity', 'watch', 'open_neck', 'loose_cap', 'vent_bolt'], $names([]));
        self::assertEqualsCanonicalizing(
            ['gravity', 'watch', 'open_neck', 'loose_cap', 'vent_bolt', 'funnel', 'pressure', 'vacuum'],
            $names(Tool::cases()),
            'a raised nose leaves no less air in this one, and is not offered',
        );
        $raise = fn (ComparedSchool $s): bool => $s->school->id() === 'raise';
        self::assertNotSame(
            [],
            array_filter($this->compare('taxi-engine', Tool::cases())->schools, $raise),
            'in this one it does',
        );
        self::assertContains(
            'engine_first:upper_end',
            array_map(fn (ComparedSchool $s) => $s->school->id(), $this->compare('compact-loader', [])->schools),
        );
    }

    public function test_what_two_heights_decide_that_a_tape_cannot_tell_apart_is_a_range(): void
    {
        $taxi = $this->compare('taxi-electronics', []);
        $fill = $taxi->recommended->fill;
        self::assertSame([['rad_top', 'inv_in']], array_map(fn (Tie $tie) => [$tie->one, $tie->other], $fill->ties));
        self::assertEqualsWithDelta(0.0, $fill->airLowMl(), 1.0);
        self::assertEqualsWithDelta(235.0, $fill->airHighMl(), 5.0);
        self::assertStringContainsString(
            'leaves 0.00 L to 0.23 L of air',
            $taxi->reason(Demo::circuit('taxi-electronics'), UnitSystem::Metric),
        );
        self::assertSame([], $this->compare('rescue-ambulance', [])->recommended->fill->ties);
    }

    public function test_the_recommendation_follows_tools_and_circuit(): void
    {
        self::assertSame('vacuum', $this->compare('school-minibus', Tool::cases())->recommended->school->id());
        $without = $this->compare('school-minibus', []);
        self::assertSame('gravity', $without->recommended->school->id());
        self::assertStringContainsString(
            'likely 4 runs',
            $without->reason(Demo::circuit('school-minibus'), UnitSystem::Metric),
        );
        $groomer = $this->compare('piste-groomer', Tool::cases());
        self::assertSame('gravity', $groomer->recommended->school->id());
        self::assertLessThan($groomer->limitMl, $groomer->recommended->fill->airMl);
    }

    public function test_the_cheapest_way_is_under_the_limit_and_nothing_smaller_is(): void
    {
        $found = $this->compare('standby-generator', [])->cheapest;
        self::assertSame(['vent_manifold'], $found?->pour->open);
        $circuit = Demo::circuit('standby-generator');
        self::assertLessThanOrEqual(0.03 * $circuit->capacityMl(), $found->airMl);
        self::assertGreaterThan(
            0.03 * $circuit->capacityMl(),
            Filling::of($circuit, 'neck', [], $circuit->usualGates(), barometerKpa: 85.39)->airMl,
        );
        self::assertNull($this->compare('school-minibus', [])->cheapest);
    }

    public function test_a_bleed_point_that_cannot_run_is_named_with_what_is_missing(): void
    {
        $data = Demo::document('post-van');
        $data['nodes'][7]['z_mm'] = 1090;
        $never = self::comparison(CircuitReader::read($data), [])->never;
        self::assertSame(['bleed_heater'], array_map(fn (NeverRuns $one) => $one->silent->port, $never));
        self::assertEqualsWithDelta(90, $never[0]->silent->missingMm, 1e-9);
        self::assertEqualsWithDelta(90, $never[0]->funnelMm, 1e-9);
        // Behind the neck by 50 mm: lifting the nose by 90·3000/50 would do, which no ramp gives.
        self::assertNull($never[0]->noseLiftMm);
    }

    public function test_every_demo_circuit_drains_and_fills_plausibly(): void
    {
        self::assertGreaterThanOrEqual(8, count(Demo::keys()));
        foreach (Demo::keys() as $key) {
            $compared = $this->compare($key, Tool::cases());
            $capacity = Demo::circuit($key)->capacityMl();
            self::assertLessThan(0.5 * $capacity, $compared->retainedMl, $key);
            self::assertLessThan(0.3 * $capacity, $compared->recommended->fill->airMl, $key);
        }
    }

    /** @param  list<Tool>  $tools */
    private function compare(string $key, array $tools): Comparison
    {
        return self::comparison(Demo::circuit($key), $tools);
    }

    /** @param  list<Tool>  $tools */
    private static function comparison(Circuit $circuit, array $tools): Comparison
    {
        $choices = Demo::repair($circuit, new HouseRules(), $tools);

        return Comparison::of(Demo::planner(), Demo::planner()->groundwork($circuit, $choices));
    }
}
