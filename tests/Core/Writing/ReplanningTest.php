<?php

declare(strict_types=1);

namespace Tests\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Replanning;
use PHPUnit\Framework\TestCase;
use Tests\Demo;
use Tests\Journeys\Journey;

/** When a job may go on another way, and what counts as another. */
final class ReplanningTest extends TestCase
{
    private const LONG_AFTER = 10_000_000;

    private static function replanning(): Replanning
    {
        return new Replanning(StepCatalogue::standard(), Demo::planner());
    }

    /** @param  list<array<string, mixed>>  $lines */
    private static function played(array $lines, string $school = 'gravity'): Journey
    {
        $journey = new Journey([
            'circuit' => 'rescue-ambulance',
            'choices' => ['school' => $school, 'elevation_m' => 1420],
            'lines' => $lines,
        ]);
        $journey->play();

        return $journey;
    }

    private static function at(Journey $journey, ?string $step = null): Situation
    {
        $state = $journey->state();
        $step = $step === null ? $state->stepInHand() : $state->steps[$step];
        self::assertNotNull($step);

        return $state->at($step, self::LONG_AFTER, UnitSystem::Metric);
    }

    /** @param  array<string, string>  $raw */
    private static function refusal(Situation $at, array $raw): ?string
    {
        try {
            self::replanning()->line($at, $raw);
        } catch (InvalidField $refused) {
            return $refused->getMessage();
        }

        return null;
    }

    public function test_a_page_that_somebody_else_has_planned_past_is_looked_at_first(): void
    {
        $at = self::at(self::played([
            ['until' => 'mix'],
            ['step' => 'mix', 'form' => 'replan', 'values' => ['school' => 'loose_cap']],
        ]));
        $newest = Replanning::newest($at->job);
        self::assertGreaterThan(0, $newest);
        self::assertStringContainsString(
            'has planned it anew since',
            (string) self::refusal($at, ['school' => 'vacuum', 'seen' => (string) ($newest - 1)]),
        );
        self::assertNull(self::refusal($at, ['school' => 'gravity', 'seen' => (string) $newest]));
        self::assertNull(self::refusal($at, ['school' => 'gravity']), 'a script that never saw a page');
    }

    public function test_only_from_the_step_in_hand(): void
    {
        $journey = self::played([['until' => 'mix']]);
        self::assertNull(self::refusal(self::at($journey), ['school' => 'loose_cap']));
        foreach (['found', 'fill_level'] as $step) {
            self::assertStringContainsString(
                'has moved on',
                (string) self::refusal(self::at($journey, $step), ['school' => 'loose_cap']),
            );
        }
    }

    public function test_not_while_something_stands_that_has_to_be_put_right(): void
    {
        $leaks = self::played([
            ['until' => 'hold:1'],
            ['step' => 'hold:1', 'form' => 'reading', 'values' => ['vacuum' => '21 inHg'], 'min' => 1],
            ['step' => 'hold:1', 'form' => 'reading', 'values' => ['vacuum' => '17 inHg'], 'min' => 5],
            ['step' => 'hold:1', 'form' => 'reading', 'values' => ['vacuum' => '12 inHg'], 'min' => 5],
        ], 'vacuum');
        self::assertStringContainsString(
            'put that right first',
            (string) self::refusal(self::at($leaks), ['school' => 'gravity']),
        );
    }

    public function test_after_a_run_only_the_way_stays_until_it_is_cold_and_at_its_mark(): void
    {
        foreach (['cool_down:1', 'cold_level:1', 'cool_down:drive', 'cold_level:drive'] as $step) {
            $at = self::at(self::played([['until' => $step]]));
            self::assertStringContainsString(
                'It has run',
                (string) self::refusal($at, ['school' => 'loose_cap']),
                $step,
            );
            self::assertNull(self::refusal($at, ['elevation' => '1500 m']), "{$step}: another place is no other way");
        }
        // What makes it safe at the start waits for a cold engine too, and nothing has run in this job.
        self::assertNull(self::refusal(self::at(self::played([['until' => 'cold_check']])), ['school' => 'vacuum']));
    }

    public function test_once_what_is_left_stands_on_the_shelf_nothing_is_filled_anew(): void
    {
        $at = self::at(self::played([['until' => 'dispose']]));
        self::assertStringContainsString(
            'on the shelf already',
            (string) self::refusal($at, ['school' => 'loose_cap']),
        );
    }

    public function test_as_near_as_it_can_be_measured_it_is_the_same_mixture_and_the_same_place(): void
    {
        $at = self::at(self::played([['until' => 'mix']]));
        $same = 'It goes that way already';
        self::assertStringContainsString($same, (string) self::refusal($at, ['target' => '50.048 %']));
        self::assertNull(self::refusal($at, ['target' => '50.052 %']));
        self::assertStringContainsString($same, (string) self::refusal($at, ['elevation' => '1420.9 m']));
        self::assertNull(self::refusal($at, ['elevation' => '1421 m']));
        self::assertNull(self::refusal($at, ['shelter' => 'hood_shut']));
    }

    public function test_places_and_mixtures_that_nobody_has_are_not_taken(): void
    {
        [$elevation] = Replanning::placeFields();
        $taken = function (\Closure $read): bool {
            try {
                $read();
            } catch (InvalidField) {
                return false;
            }

            return true;
        };
        foreach (['-395 m' => true, '-405 m' => false, '4950 m' => true, '5050 m' => false] as $typed => $may) {
            self::assertSame($may, $taken(fn () => $elevation->read($typed, UnitSystem::Metric)), $typed);
        }
        foreach (['59 %' => true, '61 %' => false] as $typed => $may) {
            self::assertSame($may, $taken(fn () => Replanning::targetField()->read($typed, UnitSystem::Metric)), $typed);
        }
    }
}
