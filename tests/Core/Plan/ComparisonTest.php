<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Tie;
use Aqbel\Core\Plan\ComparedSchool;
use Aqbel\Core\Plan\Comparison;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\NeverRuns;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\WhatHangsOn;
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
        $said = fn (float $apartMm): string => WhatHangsOn::say(
            new Tie('rad_top', 'inv_in', $apartMm, 0.0, 235.0),
            Demo::circuit('taxi-electronics'),
            UnitSystem::Metric,
        );
        self::assertStringContainsString('lie at one height:', $said(0.4));
        self::assertStringContainsString('lie 4 mm apart in height:', $said(4.0));
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

    public function test_a_reason_says_what_else_was_weighed(): void
    {
        $sooner = 0;
        foreach (Demo::keys() as $key) {
            $compared = $this->compare($key, Tool::cases());
            [$best, $reason] = [$compared->recommended, $compared->reason(Demo::circuit($key), UnitSystem::Metric)];
            $minutes = fn (ComparedSchool $row): float => $row->likelyMinutes()->total();
            // Listed by the time they take: what stands before it and is not recommended is an estimate or an aid.
            $before = array_filter(
                $compared->schools,
                fn (ComparedSchool $row) => $row->fill->estimate && $minutes($row) < $minutes($best),
            );
            $sooner += count($before);
            self::assertSame(
                $before !== [],
                str_contains($reason, 'of those whose air is not an estimate'),
                "{$key}: {$reason}",
            );
        }
        self::assertGreaterThan(0, $sooner);
    }

    public function test_where_none_gets_under_the_limit_the_one_that_leaves_least_is_named(): void
    {
        $minibus = $this->compare('school-minibus', [Tool::Funnel, Tool::Ramps]);
        $whole = array_filter($minibus->schools, fn (ComparedSchool $row) => ! $row->school->isAid());
        $least = array_reduce(
            $whole,
            fn (?ComparedSchool $least, ComparedSchool $row) => $least === null
                || $row->fill->airMl < $least->fill->airMl ? $row : $least,
        );
        $reason = $minibus->reason(Demo::circuit('school-minibus'), UnitSystem::Metric);
        self::assertNotNull($least);
        self::assertStringContainsString('No way here gets under', $reason);
        $best = $minibus->recommended;
        $least === $best
            ? self::assertStringNotContainsString('leaves least', $reason)
            : self::assertStringContainsString("{$least->school->label()} leaves least", $reason);
        // Three places of its air are named, the others counted.
        $places = $best->fill->pockets[0]->air->labels(Demo::circuit('school-minibus'));
        self::assertGreaterThan(3, count($places));
        $more = count($places) - 3;
        self::assertStringContainsString("its air at {$places[0]}, {$places[1]}, {$places[2]} and {$more} more.", $reason);
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

    public function test_a_nose_is_raised_for_a_point_behind_the_neck_and_as_far_as_a_workshop_can(): void
    {
        $lift = function (int $xMm, int $aboveMm): ?float {
            $data = Demo::document('post-van');
            $place = array_search('hot_rise', array_column($data['nodes'], 'id'), true);
            $data['nodes'][$place] = [...$data['nodes'][$place], 'x_mm' => $xMm, 'z_mm' => 1000 + $aboveMm];

            return self::comparison(CircuitReader::read($data), [])->never[0]->noseLiftMm;
        };
        // The neck is at -50 mm, and the wheels are 3,000 mm apart.
        self::assertEqualsWithDelta(3000.0 / 500.0 * 97.0, $lift(-550, 97), 1.0e-6);
        self::assertNull($lift(-550, 103), '618 mm');
        self::assertNull($lift(450, 20), 'before the neck it would only get higher');
    }

    public function test_where_a_circuit_names_no_way_out_for_its_air_it_is_asked_for_one(): void
    {
        $remedy = function (string ...$has): ?string {
            $circuit = CircuitReader::read(TopicList::answer('layout', (string) json_encode([
                'layout' => 'expansion_tank', 'answers' => new \stdClass(), 'has' => $has,
            ]))['circuit']);
            $planner = Demo::planner();
            $on = $planner->groundwork($circuit, Demo::repair($circuit, new HouseRules(), []));

            return $planner->misfit($planner->schools->of('gravity'), $on)?->remedy;
        };
        self::assertStringContainsString('A vent line or bleed point that this vehicle has', (string) $remedy());
        self::assertNull($remedy('vent_line'));
        self::assertNull($remedy('tee'));
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
