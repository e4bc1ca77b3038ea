<?php

declare(strict_types=1);

namespace Tests\Journeys;

use App\Calc\TopicList;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Plan\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** Every demo circuit by every school that runs and fits: planned, walked to the signature, and its minutes summed. */
final class EveryCircuitTest extends TestCase
{
    /** @return array<string, array{string}> */
    public static function circuits(): array
    {
        return array_combine(Demo::keys(), array_map(fn (string $key) => [$key], Demo::keys()));
    }

    #[DataProvider('circuits')]
    public function test_from_plan_to_signature(string $circuit): void
    {
        $walked = 0;
        foreach ($this->plan($circuit, 'gravity')['schools'] as $school) {
            if (! $school['fits'] || ! $school['runs']) {
                self::assertTrue($school['fits'] || $school['why_not'] !== '');

                continue;
            }
            $contents = [];
            foreach (['metric', 'us'] as $units) {
                $journey = new Journey([
                    'about' => "{$circuit} by {$school['school']}", 'circuit' => $circuit, 'units' => $units,
                    'choices' => ['school' => $school['school'], 'elevation_m' => 1420],
                    'lines' => [['until' => 'sign_off'], ['do' => 'sign_off']],
                ]);
                self::assertMinutes($school, $journey->state());
                $journey->play();
                self::assertNull($journey->answer()['next'], "{$circuit}, {$school['school']}, {$units}");
                $contents[] = $journey->answer()['ledger']['content_ml'];
            }
            self::assertEqualsWithDelta(
                $contents[0],
                $contents[1],
                0.01 * $contents[0],
                "{$circuit}, {$school['school']}",
            );
            $walked++;
        }
        self::assertGreaterThan(0, $walked);
    }

    /** @return array<string, array{string}> */
    public static function layouts(): array
    {
        $ids = array_column(TopicList::answer('layouts', '{}')['layouts'], 'id');

        return array_combine($ids, array_map(fn (string $id) => [$id], $ids));
    }

    /** Of a circuit that somebody has just made nearly nothing is known; still it is filled, tested and signed. */
    #[DataProvider('layouts')]
    public function test_a_layout_goes_to_its_signature_with_nothing_known_of_it(string $layout): void
    {
        $fitting = array_values(
            array_filter(
                self::answer(Demo::layoutDocument($layout), 'gravity')['schools'],
                fn (array $school) => $school['fits'] && $school['runs'],
            ),
        );
        self::assertNotSame([], $fitting);
        foreach (array_slice($fitting, 0, 1) as ['school' => $school]) {
            $journey = new Journey([
                'about' => $layout,
                'layout' => $layout,
                'choices' => ['school' => $school],
                'lines' => [['until' => 'sign_off'], ['do' => 'sign_off']],
            ]);
            $journey->play();
            self::assertNull($journey->answer()['next'], "{$layout}, {$school}");
        }
    }

    /**
     * @param  array<string, mixed>  $school  as `calc plan` says it: its minutes are those of the steps that it plans
     */
    private static function assertMinutes(array $school, JobState $job): void
    {
        [$hands, $waits] = [0.0, 0.0];
        foreach ($job->steps as $step) {
            $minutes = $job->kinds->labour($step, Plan::of($job)->choices);
            [$hands, $waits] = [$hands + $minutes->hands, $waits + $minutes->wait];
        }
        self::assertEqualsWithDelta($school['hands_min'], $hands, 1e-6, $school['school']);
        self::assertEqualsWithDelta($school['total_min'], $hands + $waits, 1e-6, $school['school']);
    }

    public function test_a_large_engine_with_a_neck_of_its_own_is_filled_there_before_its_day_tank(): void
    {
        $circuit = Demo::document('standby-generator');
        $circuit['ports'][] = [
            'id' => 'exchanger_neck',
            'node' => 'left_head',
            'kind' => 'fill',
            'label' => 'Exchanger neck',
        ];
        $sequence = array_column(
            TopicList::answer(
                'plan',
                (string) json_encode([
                    'circuit' => $circuit,
                    'choices' => ['school' => 'large_engine'],
                ]),
            )['sequence'],
            'step',
        );
        $places = array_flip($sequence);
        self::assertLessThan($places['fill_through:exchanger_neck'], $places['open_bleeds']);
        self::assertLessThan($places['bleed:vent_left'], $places['fill_through:exchanger_neck']);
        self::assertLessThan($places['fill_level'], $places['bleed:vent_left']);
        self::assertNotContains(
            'fill_through:exchanger_neck',
            array_column($this->plan('standby-generator', 'large_engine')['sequence'], 'step'),
        );
    }

    /** @return array<string, mixed> */
    private function plan(string $circuit, string $school): array
    {
        return self::answer(Demo::document($circuit), $school);
    }

    /**
     * @param  array<string, mixed>  $circuit
     * @return array<string, mixed>
     */
    private static function answer(array $circuit, string $school): array
    {
        return TopicList::answer(
            'plan',
            (string) json_encode(['circuit' => $circuit, 'choices' => ['school' => $school, 'elevation_m' => 1420]]),
        );
    }
}
