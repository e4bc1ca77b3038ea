<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Schools\SecondNeck;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** A pour through a second fill point begins on the coolant that the one before it has left. */
final class SecondPourTest extends TestCase
{
    public function test_the_second_pour_leaves_no_more_than_either_would_alone(): void
    {
        foreach (['compact-loader', 'yard-tractor'] as $key) {
            $circuit = Demo::circuit($key);
            [$first, $second] = self::pours($circuit);
            self::assertSame($first, $second->after);
            $alone = new PlannedPour($second->at, $second->open);
            $air = self::air($circuit, $second);
            self::assertLessThanOrEqual(self::air($circuit, $first), $air, $key);
            self::assertLessThanOrEqual(self::air($circuit, $alone), $air, $key);
        }
        // By hand: the tractor's upper hose end is its highest point but the neck, and the first pour has filled all below.
        $tractor = Demo::circuit('yard-tractor');
        [$first, $second] = self::pours($tractor);
        self::assertGreaterThan(900.0, self::air($tractor, $first));
        self::assertLessThan(1.0, self::air($tractor, $second));
        self::assertGreaterThan(150.0, self::air($tractor, new PlannedPour($second->at, $second->open)));
    }

    public function test_a_plan_by_it_says_what_both_leave(): void
    {
        $circuit = Demo::circuit('yard-tractor');
        $id = SecondNeck::ID.'upper_end';
        $plan = Demo::planner()->plan(
            $circuit,
            Demo::repair($circuit, new HouseRules, Tool::cases())->with($id),
        );
        self::assertLessThan(1.0, $plan->fill->airMl);
    }

    public function test_what_stands_inside_before_counts_for_the_first_of_them(): void
    {
        $circuit = Demo::circuit('yard-tractor');
        [$first, $second] = self::pours($circuit);
        $full = new Volumes(array_map(fn ($passage) => $passage->volumeMl, $circuit->passages));
        self::assertEqualsWithDelta(0.0, $first->fill($circuit, $full, Atmosphere::SEA_LEVEL_KPA)->airMl, 1.0);
        self::assertEqualsWithDelta(0.0, $second->fill($circuit, $full, Atmosphere::SEA_LEVEL_KPA)->airMl, 1.0);
    }

    public function test_the_picture_stands_by_the_first_until_that_is_over(): void
    {
        $circuit = Demo::circuit('yard-tractor');
        [$first, $second] = self::pours($circuit);
        $job = fn (float $ml) => JobOnPaper::on('yard-tractor', SecondNeck::ID.'upper_end', choices: ['opened' => []])
            ->write('found', 'found', ['content' => 'empty'])
            ->write('fill_level', 'poured', ['volume' => $ml, 'vessel' => 'syringe', 'liquid' => 'premix'])
            ->state();
        self::assertEquals($first->standing($job(600.0)), $second->standing($job(600.0)));
        $over = $second->standing($job(2_000.0))->coolant($circuit)->sum();
        self::assertEqualsWithDelta(2_000.0, $over, 60.0);
    }

    public function test_a_pour_changed_is_changed_with_those_before_it(): void
    {
        [, $second] = self::pours(Demo::circuit('yard-tractor'));
        $raised = $second->but(open: ['upper_end'], headMm: 40.0, noseLiftMm: 300.0);
        self::assertSame([['upper_end'], 40.0, 300.0], [$raised->open, $raised->headMm, $raised->noseLiftMm]);
        self::assertSame([300.0, 0.0], [$raised->after?->noseLiftMm, $raised->after?->headMm]);
        self::assertEquals($second, $second->but());
    }

    /** @return array{PlannedPour, PlannedPour} */
    private static function pours(Circuit $circuit): array
    {
        $pours = (new SecondNeck('upper_end'))->pours($circuit, Demo::repair($circuit, new HouseRules, Tool::cases()));

        return [$pours[0], $pours[1]];
    }

    private static function air(Circuit $circuit, PlannedPour $pour): float
    {
        return $pour->fill($circuit, new Volumes, Atmosphere::SEA_LEVEL_KPA)->airMl;
    }
}
