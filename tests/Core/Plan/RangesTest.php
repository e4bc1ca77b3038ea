<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use App\Calc\Input;
use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Node;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\DrawnJob;
use Aqbel\Core\Plan\Draws;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Ranges;
use Aqbel\Core\Quantity\Range;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Judges\Chance;
use Tests\Demo;

/** How sure a plan is of its volumes: against circuits drawn within the same ±, on the fine mesh. */
final class RangesTest extends TestCase
{
    private const TRUTHS = 50;

    /** The calculated numbers are mL; what a float leaves over is none. */
    private const NOTHING_ML = 0.5;

    private static function plan(Circuit $circuit): Plan
    {
        return Demo::planner()->plan($circuit, (new Input([], ''))->choices($circuit));
    }

    /** @param  float  $share  of the ± */
    private static function truth(Circuit $circuit, Chance $chance, float $share = 1.0): Circuit
    {
        $within = fn (float $plusMinus): float => $share * $chance->between(-$plusMinus, $plusMinus);

        return $circuit->but(
            array_map(fn (Node $node) => $within($node->plusMinusMm), $circuit->nodes),
            array_map(fn (Passage $passage) => 1.0 + $within($passage->plusMinus), $circuit->passages),
        );
    }

    public function test_the_truth_lies_in_the_range_nineteen_times_of_twenty(): void
    {
        $inside = [];
        foreach (Demo::keys() as $key) {
            $circuit = Demo::circuit($key);
            $plan = self::plan($circuit);
            $pours = $plan->school->pours($circuit, $plan->choices);
            $ranges = Ranges::of($circuit, $plan);
            $chance = new Chance(crc32($key));
            for ($i = 0; $i < self::TRUTHS; $i++) {
                $real = DrawnJob::of(self::truth($circuit, $chance), $plan, $pours[count($pours) - 1], 1.0);
                $inside['air'][] = self::holds($ranges->airMl, $real->airMl);
                $inside['stays'][] = self::holds($ranges->retainedMl, $real->retainedMl);
                foreach ($ranges->drains as $n => $drain) {
                    $inside['drains'][] = self::holds($drain->ml, $real->drainsMl[$n]);
                }
            }
        }
        foreach ($inside as $what => $held) {
            $share = array_sum($held) / count($held);
            self::assertGreaterThanOrEqual(0.92, $share, $what);
            self::assertLessThanOrEqual(0.98, $share, $what);
        }
    }

    private static function holds(Range $range, float $ml): int
    {
        return $ml >= $range->low - self::NOTHING_ML && $ml <= $range->high + self::NOTHING_ML ? 1 : 0;
    }

    /** @return array<string, array{string}> */
    public static function small(): array
    {
        return [
            'post van' => ['post-van'],
            'taxi, electronics' => ['taxi-electronics'],
            'loader' => ['compact-loader'],
        ];
    }

    #[DataProvider('small')]
    public function test_what_settles_most_is_among_the_two_best_of_all_measurements(string $key): void
    {
        $circuit = Demo::circuit($key);
        $plan = self::plan($circuit);
        $pours = $plan->school->pours($circuit, $plan->choices);
        $most = Ranges::of($circuit, $plan)->settlesMost;
        self::assertNotNull($most);
        // All of them, on other draws.
        $draws = Draws::of($circuit, 77, 80);
        $spans = [];
        foreach ([...array_keys($draws->nodes), ...array_keys($draws->passages)] as $id) {
            $air = array_map(fn (int $i): float => DrawnJob::airMl($draws->circuit(
                $i,
                isset($draws->nodes[$id]) ? $id : null,
                isset($draws->passages[$id]) ? $id : null,
            ), $plan, $pours[count($pours) - 1], 2.5), range(0, 79));
            $spans[$id] = Range::of($air[0], $air)->span();
        }
        asort($spans);
        self::assertLessThanOrEqual(1.05 * array_values($spans)[1] + 1.0, $spans[$most->node ?? $most->passage]);
        self::assertLessThan($most->spanMl, $most->thenMl);
    }

    public function test_a_gate_nobody_looked_at_is_in_the_range_and_one_look_takes_it_out(): void
    {
        $of = fn (array $answers): array => TopicList::answer(
            'layout',
            (string) json_encode(['layout' => 'bleed_thermostat', 'answers' => ['capacity_ml' => 6400, ...$answers]]),
        )['circuit'];
        $ranges = fn (array $circuit): array => TopicList::answer(
            'ranges',
            (string) json_encode(['circuit' => $circuit, 'choices' => ['school' => 'gravity'], 'samples' => 80]),
        );
        [$unknown, $shut, $open] = [
            $ranges($of([])),
            $ranges($of(['jiggle_pin' => 'no'])),
            $ranges($of(['jiggle_pin' => 'yes'])),
        ];
        self::assertSame($open['air_ml'], $unknown['air_ml']);
        self::assertGreaterThan($open['air_high_ml'], $shut['air_ml']);
        self::assertGreaterThan(
            0.9 * $shut['air_ml'],
            $unknown['air_high_ml'],
            'what the other kind leaves lies within',
        );
        self::assertSame(
            ['upper_hose', 'weeps'],
            [$unknown['settles_most']['passage'], $unknown['settles_most']['what']],
        );
        self::assertLessThan(
            0.6 * $unknown['settles_most']['air_span_ml'],
            $unknown['settles_most']['air_span_then_ml'],
        );
    }

    public function test_what_was_drawn_exactly_has_no_range(): void
    {
        $document = Demo::document('post-van');
        foreach ($document['nodes'] as &$node) {
            $node['plus_minus_mm'] = 0;
        }
        foreach ($document['passages'] as &$passage) {
            $passage['plus_minus'] = 0;
        }
        $told = TopicList::answer('ranges', (string) json_encode(['circuit' => $document, 'samples' => 40]));
        self::assertSame([$told['air_ml'], $told['air_ml']], [$told['air_low_ml'], $told['air_high_ml']]);
        self::assertTrue($told['order_sure']);
        self::assertNull($told['settles_most']);
        $plan = TopicList::answer('plan', (string) json_encode(['circuit' => $document]))['predicted'];
        self::assertSame($plan['air_ml'], $told['air_ml']);
        self::assertSame(array_column($plan['drains'], 'volume_ml'), array_column($told['drains'], 'ml'));
    }

    public function test_the_same_seed_says_the_same_and_a_wider_tape_a_wider_range(): void
    {
        $document = Demo::document('footpath-sweeper');
        $ask = fn (array $circuit, int $seed): array => TopicList::answer(
            'ranges',
            (string) json_encode(['circuit' => $circuit, 'seed' => $seed, 'samples' => 60]),
        );
        $tape = $ask($document, 7);
        self::assertSame($tape, $ask($document, 7));
        self::assertNotSame($tape, $ask($document, 8));
        foreach ($document['nodes'] as &$node) {
            $node['plus_minus_mm'] = 60;
        }
        $eye = $ask($document, 7);
        self::assertGreaterThan(
            $tape['retained_high_ml'] - $tape['retained_low_ml'],
            $eye['retained_high_ml'] - $eye['retained_low_ml'],
        );
    }

    public function test_too_few_samples_and_a_negative_tape_are_refused_by_name(): void
    {
        $document = Demo::document('post-van');
        foreach (
            [
                'samples' => ['circuit' => $document, 'samples' => 3],
                'circuit.nodes.0.plus_minus_mm' => [
                    'circuit' => [
                        'nodes' => [
                            ['plus_minus_mm' => -1] + $document['nodes'][0],
                            ...array_slice($document['nodes'], 1),
                        ],
                    ] + $document,
                ],
            ] as $field => $input
        ) {
            try {
                TopicList::answer('ranges', (string) json_encode($input));
                self::fail($field);
            } catch (InvalidField $refused) {
                self::assertSame($field, $refused->field);
            }
        }
    }

    public function test_a_range_of_fewer_draws_than_can_tell_one_is_not_worked_out(): void
    {
        $asked = fn (int $samples): string => (string) json_encode([
            'circuit' => Demo::document('post-van'),
            'choices' => new \stdClass(),
            'samples' => $samples,
        ]);
        self::assertArrayHasKey('air_low_ml', TopicList::answer('ranges', $asked(40)));
        $this->expectExceptionObject(new InvalidField('samples', 'samples must lie between 40 and 2000.'));
        TopicList::answer('ranges', $asked(39));
    }
}
