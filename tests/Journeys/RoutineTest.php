<?php

declare(strict_types=1);

namespace Tests\Journeys;

use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\RoutineLine;
use Aqbel\Core\Circuit\RoutinePart;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Demo;

/** Routines that people write for themselves: every one is laid out whole, and worked to its signature. */
final class RoutineTest extends TestCase
{
    private const ON_EACH = 8;

    /** @return array<string, array{string, RoutinePart, float}> */
    public static function lines(): array
    {
        return [
            'free, with its time' => ['Service mode on, pump runs 10 min', RoutinePart::Free, 10.0],
            'a part' => ['fill: to the mark', RoutinePart::Fill, 0.0],
            'in any letters' => ['Cool : to the hand', RoutinePart::Cool, 0.0],
            'a point by its name' => ['bleed Heater hose tee: a turn', RoutinePart::Bleed, 0.0],
            'a run' => ['run: 2,000 rpm 10 min', RoutinePart::Run, 10.0],
            'starts the engine all the same' => [
                'Cap on, start the engine and let it idle 5 min',
                RoutinePart::Run,
                5.0,
            ],
            'and so' => ['Engine at idle until the fan turns', RoutinePart::Run, 0.0],
            'and so, warm' => ['Warm the engine up', RoutinePart::Run, 0.0],
            'does not' => ['Engine off, ignition on 2 min', RoutinePart::Free, 2.0],
            'nor this' => ['Do not start the engine', RoutinePart::Free, 0.0],
            'nor a level that is none' => ['Watch: the level may fall', RoutinePart::Free, 0.0],
        ];
    }

    #[DataProvider('lines')]
    public function test_a_line_is_read_as_what_it_does(string $typed, RoutinePart $part, float $minutes): void
    {
        $line = RoutineLine::of($typed);
        self::assertSame([$part, $minutes], [$line->part, $line->minutes]);
    }

    public function test_a_point_that_is_not_there_is_refused_by_its_line(): void
    {
        $document = Demo::document('post-van');
        $document['facts']['routine'] = ['fill: to the mark', 'bleed bath plug: a turn'];
        try {
            CircuitReader::read($document);
            self::fail('taken');
        } catch (InvalidField $refused) {
            self::assertSame('facts.routine.1', $refused->field);
            self::assertStringContainsString('bath plug', $refused->getMessage());
        }
    }

    /** @return iterable<string, array{string}> */
    public static function circuits(): iterable
    {
        foreach (['post-van', 'rescue-ambulance', 'taxi-engine', 'piste-groomer', 'standby-generator'] as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('circuits')]
    public function test_any_routine_has_its_fill_before_its_engine_and_is_worked_to_the_signature(string $key): void
    {
        $draw = new Randomizer(new Mt19937(crc32($key)));
        $points = array_map(
            fn (string $port) => "bleed {$port}: until it runs solid",
            Demo::circuit($key)->portIds(PortKind::Bleed),
        );
        $lines = [
            'Heater on full',
            'Squeeze the upper hose',
            'Wait 3 min',
            'fill: to the mark',
            'run: until the fan turns',
            'cool: to the hand',
            'level: to the mark',
            ...$points,
        ];
        for ($i = 0; $i < self::ON_EACH; $i++) {
            $routine = array_map(fn () => $lines[$draw->getInt(0, count($lines) - 1)], range(1, $draw->getInt(2, 8)));
            $journey = new Journey([
                'about' => 'a routine',
                'circuit' => $key,
                'routine' => $routine,
                'choices' => ['school' => 'manual', 'elevation_m' => 1420],
                'lines' => [['until' => 'sign_off'], ['do' => 'sign_off']],
            ]);
            $plan = Plan::of($journey->state());
            $kinds = array_map(fn (Step $step) => $step->kind, $plan->steps);
            $runs = array_keys($kinds, 'heat_cycle', true);
            $said = implode(' / ', $routine);
            self::assertCount(
                count(array_unique(array_map(fn (Step $step) => $step->id, $plan->steps))),
                $plan->steps,
                $said,
            );
            self::assertSame(1, count(array_keys($kinds, 'fill_level', true)), $said);
            self::assertLessThan($runs[0], array_search('fill_level', $kinds, true), $said);
            self::assertContains('cool_down', array_slice($kinds, $runs[count($runs) - 1]), $said);
            $journey->play();
            self::assertTrue($journey->state()->isSigned(), "{$said}\n".($journey->state()->stepInHand()->id ?? ''));
        }
    }
}
