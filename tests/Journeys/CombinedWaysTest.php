<?php

declare(strict_types=1);

namespace Tests\Journeys;

use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Schools\Aid;
use Aqbel\Core\Schools\FillBy;
use Aqbel\Core\Schools\RunsUntil;
use Aqbel\Core\Schools\WarmedBy;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Demo;

/** Ways put together: planned, and worked to their signature as an ordinary technician does it. */
final class CombinedWaysTest extends TestCase
{
    private const ON_EACH = 4;

    /** @return iterable<string, array{string}> */
    public static function circuits(): iterable
    {
        foreach (Demo::keys() as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('circuits')]
    public function test_ways_that_fit_are_worked_to_their_signature(string $key): void
    {
        $played = 0;
        foreach (self::combinations(Demo::circuit($key), crc32($key)) as $choices) {
            try {
                $journey = new Journey([
                    'about' => 'a way put together',
                    'circuit' => $key,
                    'choices' => $choices,
                    'lines' => [['until' => 'sign_off'], ['do' => 'sign_off']],
                ]);
            } catch (InvalidField) {
                continue; // it does not fit here, and says so
            }
            $runs = count($journey->state()->stepsOf('heat_cycle'));
            $until = RunsUntil::from($choices['end']);
            self::assertTrue($until === RunsUntil::Tight ? $runs === 0 : $runs === $until->looks());
            if (! Plan::of($journey->state())->fill->wetsTheJackets($journey->state()->circuit)) {
                continue;
            }
            $journey->play();
            self::assertTrue(
                $journey->state()->isSigned(),
                json_encode($choices)."\n".($journey->state()->stepInHand()->id ?? ''),
            );
            if (++$played === self::ON_EACH) {
                break;
            }
        }
        self::assertGreaterThan(0, $played);
    }

    public function test_what_practitioners_mix_is_planned_with_all_of_it(): void
    {
        $kinds = fn (string $key, array $choices): array => array_map(
            fn (array $step) => $step['kind'],
            TopicList::answer('plan', (string) json_encode(['circuit' => Demo::document($key), 'choices' => $choices]))[
                'sequence'
            ],
        );
        $both = $kinds('post-van', ['fill' => 'gravity', 'warm_up' => 'open_neck', 'end' => 'one_run']);
        self::assertContains('bleed', $both, 'an open running neck, and bleed screws');
        self::assertSame(1, count(array_keys($both, 'heat_cycle', true)));
        $raised = $kinds('taxi-engine', [
            'fill' => 'gravity',
            'warm_up' => 'vent_bolt',
            'aids' => ['raise', 'vent_pressure'],
            'end' => 'quiet_twice',
        ]);
        foreach (['raise', 'lower', 'vent_under_pressure', 'vent_between', 'heat_cycle'] as $kind) {
            self::assertContains($kind, $raised);
        }
        self::assertSame(
            ['heat_cycle', 'lower', 'cool_down'],
            array_slice($raised, (int) array_search('heat_cycle', $raised, true), 3),
            'it stays up until it has run hot',
        );
        self::assertContains('vacuum_fill', $kinds('taxi-engine', ['fill' => 'vacuum', 'warm_up' => 'loose_cap']));
        $tight = $kinds('taxi-engine', ['fill' => 'vacuum', 'end' => 'tight']);
        self::assertSame([], array_intersect(['heat_cycle', 'drive'], $tight));
    }

    public function test_what_does_not_exist_or_does_nothing_is_refused_by_name(): void
    {
        foreach (
            [
                'choices.warm_up' => ['warm_up' => 'wishful'],
                'choices.fill' => ['fill' => 'bucket'],
                'choices.aids.0' => ['aids' => ['luck']],
                'choices.end' => ['end' => 'never'],
                'choices.colour' => ['colour' => 'red'],
                'school' => ['fill' => 'vacuum', 'aids' => ['raise']],
            ] as $field => $choices
        ) {
            try {
                TopicList::answer(
                    'plan',
                    (string) json_encode(['circuit' => Demo::document('taxi-engine'), 'choices' => $choices]),
                );
                self::fail("{$field}: taken");
            } catch (InvalidField $invalid) {
                self::assertSame($field, $invalid->field, $invalid->getMessage());
            }
        }
    }

    public function test_a_plan_keeps_its_way_and_finds_it_again(): void
    {
        foreach (self::combinations(Demo::circuit('rescue-ambulance'), 7) as $choices) {
            try {
                $journey = new Journey([
                    'about' => '',
                    'circuit' => 'rescue-ambulance',
                    'choices' => $choices,
                    'lines' => [],
                ]);
            } catch (InvalidField) {
                continue;
            }
            $plan = Plan::of($journey->state());
            $again = (new \Aqbel\Core\Plan\Format\PlanCodec(\Aqbel\Core\Schools\SchoolCatalogue::standard()))->read(
                \Aqbel\Core\Plan\Format\PlanCodec::write($plan),
                $journey->state()->circuit,
            );
            self::assertSame($plan->school->id(), $again->school->id());
            self::assertEquals(
                array_map(fn (Step $step) => $step->id, $plan->steps),
                array_map(fn (Step $step) => $step->id, $again->steps),
            );
        }
    }

    /** @return list<array<string, mixed>> seeded, each once */
    private static function combinations(Circuit $circuit, int $seed): array
    {
        $all = [];
        foreach (FillBy::cases() as $fill) {
            foreach ($fill->school($circuit) === null ? [] : WarmedBy::cases() as $warm) {
                foreach (
                    [[], [Aid::Raise], [Aid::VentPressure, Aid::Squeeze], [Aid::Raise, Aid::VentPressure]] as $aids
                ) {
                    foreach (RunsUntil::cases() as $end) {
                        $all[] = [
                            'fill' => $fill->value,
                            'warm_up' => $warm->value,
                            'aids' => array_map(fn (Aid $aid) => $aid->value, $aids),
                            'end' => $end->value,
                            'elevation_m' => 1420,
                        ];
                    }
                }
            }
        }

        return (new Randomizer(new Mt19937($seed)))->shuffleArray($all);
    }
}
