<?php

declare(strict_types=1);

namespace Tests\Journeys;

use App\Calc\TopicList;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Replanning;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** A job that goes on by another school, from every step on: it comes to its signature, or says why it may not turn. */
final class TurnedTest extends TestCase
{
    /** From one way to the next the place moves on by so many steps: all places from all to all take minutes. */
    private const FURTHER = 5;

    /** @return array<string, array{string}> */
    public static function circuits(): array
    {
        return array_combine(Demo::keys(), array_map(fn (string $key) => [$key], Demo::keys()));
    }

    #[DataProvider('circuits')]
    public function test_it_comes_to_its_signature(string $circuit): void
    {
        $schools = array_column(
            array_filter(self::schools($circuit), fn (array $s) => $s['fits'] && $s['runs']),
            'school',
        );
        [$turned, $place] = [0, 0];
        foreach ($schools as $i => $from) {
            $to = $schools[($i + 1) % count($schools)];
            $planned = new Journey([
                'about' => $from,
                'circuit' => $circuit,
                'choices' => ['school' => $from, 'elevation_m' => 1420],
                'lines' => [],
            ]);
            $steps = array_keys($planned->state()->steps);
            $steps = array_slice($steps, (int) array_search('mix', $steps, true));
            $turned += $this->turned($circuit, $from, $to, $steps[$place % count($steps)]) ? 1 : 0;
            $place += self::FURTHER;
        }
        self::assertGreaterThan(0, $turned);
    }

    public function test_no_way_is_offered_that_leaves_a_jacket_dry_until_something_wets_it(): void
    {
        $replanning = new Replanning(StepCatalogue::standard(), Demo::planner());
        $at = function (array $lines) use ($replanning): array {
            $journey = new Journey([
                'about' => 'a minibus',
                'circuit' => 'school-minibus',
                'choices' => ['school' => 'gravity', 'elevation_m' => 1420],
                'lines' => $lines,
            ]);
            $journey->play();

            return array_keys($replanning->schools($journey->state()));
        };
        self::assertContains('vacuum', $at([]));
        self::assertNotContains('loose_cap', $at([]));
        self::assertContains('loose_cap', $at([['until' => 'fill_level'], ['do' => 'fill_level']]));
        $journey = new Journey([
            'about' => 'refused',
            'circuit' => 'school-minibus',
            'choices' => ['school' => 'gravity', 'elevation_m' => 1420],
            'lines' => [
                ['until' => 'mix'],
                ['step' => 'mix', 'form' => 'replan', 'values' => ['school' => 'loose_cap']],
            ],
        ]);
        $refused = null;
        $journey->play(null, function (?string $field, $refusal) use (&$refused): void {
            $refused = $refusal;
        });
        self::assertStringContainsString('dry', (string) $refused?->message);
    }

    private function turned(string $circuit, string $from, string $to, string $step): bool
    {
        $journey = new Journey([
            'about' => "{$circuit}, {$from} to {$to} at {$step}",
            'circuit' => $circuit,
            'choices' => ['school' => $from, 'elevation_m' => 1420],
            'lines' => [
                ['until' => $step, 'or' => 'sign_off'],
                ['step' => $step, 'form' => 'replan', 'values' => ['school' => $to]],
            ],
        ]);
        $refusal = 'none';
        $journey->play(fn () => null, function (?string $field, $refused) use (&$refusal): void {
            $refusal = $refused?->field;
        });
        if ($refusal !== null) {
            self::assertContains($refusal, ['school', 'finish'], $journey->about());

            return false;
        }
        $journey->toTheEnd();
        self::assertNull($journey->answer()['next'], $journey->about());

        return true;
    }

    /** @return list<array<string, mixed>> */
    private static function schools(string $circuit): array
    {
        return TopicList::answer('plan', (string) json_encode([
            'circuit' => Demo::document($circuit), 'choices' => ['school' => 'gravity', 'elevation_m' => 1420],
        ]))['schools'];
    }
}
