<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Tie;
use Aqbel\Core\Plan\CheapestFill;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\Simulations;
use Aqbel\Core\Plan\Tool;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** The cheapest pour, held against every pour there is, each simulated and priced anew here. */
final class CheapestFillTest extends TestCase
{
    private const ABOVE_THE_NECK = 'post-van, hose above the neck';

    /** @return iterable<string, array{string, list<Tool>, float}> */
    public static function shops(): iterable
    {
        foreach (['rescue-ambulance', 'post-van', 'yard-tractor', 'taxi-electronics', 'footpath-sweeper'] as $key) {
            foreach ([[], [Tool::Funnel], [Tool::Ramps], [Tool::Ramps, Tool::Funnel]] as $tools) {
                foreach ([0.005, 0.03] as $share) {
                    yield "{$key} ".implode(' ', array_column($tools, 'value'))." {$share}" => [$key, $tools, $share];
                }
            }
        }
        // Its heater hose stands a little above the neck: only a funnel or a raised nose brings it under.
        yield 'hose above the neck, funnel' => [self::ABOVE_THE_NECK, [Tool::Funnel], 0.05];
        yield 'hose above the neck, ramps' => [self::ABOVE_THE_NECK, [Tool::Ramps], 0.05];
        yield 'hose above the neck, both' => [self::ABOVE_THE_NECK, [Tool::Ramps, Tool::Funnel], 0.05];
    }

    private static function circuit(string $key): Circuit
    {
        if ($key !== self::ABOVE_THE_NECK) {
            return Demo::circuit($key);
        }
        $document = Demo::document('post-van');
        $nodes = array_column($document['nodes'], 'id');
        $document['nodes'][array_search('hot_rise', $nodes, true)]['z_mm'] = 1005;

        return CircuitReader::read($document);
    }

    public function test_a_hose_above_the_neck_takes_a_funnel_or_a_raised_nose(): void
    {
        $circuit = self::circuit(self::ABOVE_THE_NECK);
        $found = function (Tool ...$tools) use ($circuit): array {
            $choices = Demo::repair($circuit, new HouseRules(airShare: 0.05), array_values($tools));
            $fills = new Simulations($circuit, $choices);
            $pour = CheapestFill::of($circuit, $choices, $fills)?->pour;

            return [$pour?->noseLiftMm, $pour?->headMm];
        };
        self::assertSame([null, null], $found());
        self::assertSame([0.0, 150.0], $found(Tool::Funnel));
        self::assertSame([300.0, 0.0], $found(Tool::Ramps));
        self::assertSame([0.0, 150.0], $found(Tool::Ramps, Tool::Funnel));
    }

    /** @param  list<Tool>  $tools */
    #[DataProvider('shops')]
    public function test_no_pour_that_is_sure_costs_less(string $key, array $tools, float $share): void
    {
        $circuit = self::circuit($key);
        $choices = Demo::repair($circuit, new HouseRules(airShare: $share), $tools);
        $fills = new Simulations($circuit, $choices);
        $limit = $share * $circuit->capacityMl();
        [$sure, $unsure] = [[], []];
        foreach (in_array(Tool::Ramps, $tools, true) ? [0.0, 150.0, 300.0] : [0.0] as $lift) {
            foreach (in_array(Tool::Funnel, $tools, true) ? [0.0, 150.0, 300.0] : [0.0] as $head) {
                foreach (self::subsets($circuit->portIds(PortKind::Bleed)) as $open) {
                    $pour = PlannedPour::atTheNeck($circuit, $open, $head, $lift);
                    $air = $fills->of($pour)->airMl;
                    // Any pour, setting up ramps and funnel, and more the higher
                    // they stand; each point opened and shut.
                    $minutes = 10.0
                        + ($lift > 0.0 ? 5.0 + $lift / 100.0 : 0.0)
                        + ($head > 0.0 ? 4.0 + $head / 300.0 : 0.0)
                        + 4.0 * count($open);
                    if ($air <= $limit) {
                        max([$air, ...array_map(fn (Tie $tie) => $tie->highMl, $fills->ties($pour)->all)]) <= $limit
                            ? ($sure[] = $minutes)
                            : ($unsure[] = $minutes);
                    }
                }
            }
        }
        $found = CheapestFill::of($circuit, $choices, $fills);
        if ($sure === [] && $unsure === []) {
            self::assertNull($found);

            return;
        }
        self::assertNotNull($found);
        self::assertEqualsWithDelta(min($sure === [] ? $unsure : $sure), $found->minutes, 1.0e-6);
        self::assertSame($sure !== [], $found->airHighMl <= $limit);
        self::assertEqualsWithDelta($fills->of($found->pour)->airMl, $found->airMl, 1.0e-9);
    }

    public function test_of_more_than_three_points_each_alone_and_all_together_are_tried(): void
    {
        $document = Demo::document('rescue-ambulance');
        $low = array_values(array_filter($document['ports'], fn (array $port) => $port['kind'] === 'drain'))[0]['node'];
        $found = function (int $more) use ($document, $low): ?CheapestFill {
            foreach (range(1, max(1, $more)) as $i) {
                $more > 0
                    && ($document['ports'][] = [
                        'id' => "useless{$i}",
                        'node' => $low,
                        'kind' => 'bleed',
                        'label' => "Useless {$i}",
                    ]);
            }
            $circuit = CircuitReader::read($document);
            // So much air may stay that both of its own points do, and neither alone.
            $choices = Demo::repair($circuit, new HouseRules(airShare: 0.035), []);

            return CheapestFill::of(
                $circuit,
                $choices,
                new Simulations($circuit, $choices),
            );
        };
        self::assertCount(2, $found(0)->pour->open ?? []);
        self::assertCount(2, $found(1)->pour->open ?? [], 'of three, any two');
        self::assertCount(4, $found(2)->pour->open ?? [], 'of four, all');
    }

    /**
     * @param  list<string>  $points
     * @return list<list<string>>
     */
    private static function subsets(array $points): array
    {
        $subsets = [[]];
        foreach ($points as $point) {
            foreach ($subsets as $subset) {
                $subsets[] = [...$subset, $point];
            }
        }

        return $subsets;
    }
}
