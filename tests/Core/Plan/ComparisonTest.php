<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Plan\ComparedSchool;
use Aqbel\Core\Plan\Comparison;
use Aqbel\Core\Quantity\Length;
use PHPUnit\Framework\TestCase;

final class ComparisonTest extends TestCase
{
    public function test_only_schools_that_the_tools_allow_are_compared(): void
    {
        $names = fn (array $tools) => array_map(fn (ComparedSchool $s) => $s->name, $this->compare('post-van', $tools)->schools);
        self::assertEqualsCanonicalizing(['gravity', 'watch', 'loose_cap'], $names([]));
        self::assertEqualsCanonicalizing(['gravity', 'watch', 'loose_cap', 'funnel', 'raise', 'pressure', 'vacuum'], $names(Comparison::TOOLS));
        self::assertContains('engine_first:upper_end', array_map(fn (ComparedSchool $s) => $s->name, $this->compare('compact-loader', [])->schools));
    }

    public function test_the_recommendation_follows_tools_and_circuit(): void
    {
        self::assertSame('vacuum', $this->compare('school-minibus', Comparison::TOOLS)->recommended->name);
        $without = $this->compare('school-minibus', []);
        self::assertSame('gravity', $without->recommended->name);
        self::assertStringContainsString('heat cycles', $without->reason);
        $groomer = $this->compare('piste-groomer', Comparison::TOOLS);
        self::assertSame('gravity', $groomer->recommended->name);
        self::assertLessThan($groomer->limitMl, $groomer->recommended->airMl);
    }

    public function test_the_cheapest_way_is_under_the_limit_and_nothing_smaller_is(): void
    {
        $found = $this->compare('standby-generator', [])->cheapest;
        self::assertSame(['vent_manifold'], $found['open']);
        $circuit = $this->circuit('standby-generator');
        self::assertLessThanOrEqual(0.03 * $circuit->capacityMl(), $found['air_ml']);
        self::assertGreaterThan(0.03 * $circuit->capacityMl(), Filling::of($circuit, 'neck', [], Filling::usualGates($circuit), barometerKpa: 85.39)->airMl);
        self::assertNull($this->compare('school-minibus', [])->cheapest);
    }

    public function test_a_bleed_point_that_cannot_run_is_named_with_what_is_missing(): void
    {
        $data = $this->data('post-van');
        $data['nodes'][7]['z_mm'] = 1090;
        $never = Comparison::of(CircuitReader::read($data), ['radiator_cock'], [], Atmosphere::atElevation(Length::metres(1420)))->never;
        self::assertSame(['bleed_heater'], array_column($never, 'port'));
        self::assertEqualsWithDelta(90, $never[0]['missing_mm'], 1e-9);
        self::assertEqualsWithDelta(90, $never[0]['funnel_mm'], 1e-9);
        // Behind the neck by 50 mm: lifting the nose by 90·3000/50 would do, which no ramp gives.
        self::assertNull($never[0]['nose_lift_mm']);
    }

    public function test_every_demo_circuit_drains_and_fills_plausibly(): void
    {
        $files = glob(__DIR__.'/../../../database/demo/circuits/*.json') ?: [];
        self::assertGreaterThanOrEqual(8, count($files));
        foreach ($files as $file) {
            $compared = $this->compare(basename($file, '.json'), Comparison::TOOLS);
            $capacity = $this->circuit(basename($file, '.json'))->capacityMl();
            self::assertLessThan(0.5 * $capacity, $compared->retainedMl, $file);
            self::assertLessThan(0.3 * $capacity, $compared->recommended->airMl, $file);
        }
    }

    /** @param  list<string>  $tools */
    private function compare(string $key, array $tools): Comparison
    {
        $circuit = $this->circuit($key);

        return Comparison::of($circuit, array_map(fn ($port) => $port->id, $circuit->portsOf('drain')), $tools, Atmosphere::atElevation(Length::metres(1420)));
    }

    private function circuit(string $key): Circuit
    {
        return CircuitReader::read($this->data($key));
    }

    /** @return array<string, mixed> */
    private function data(string $key): array
    {
        return json_decode((string) file_get_contents(__DIR__."/../../../database/demo/circuits/{$key}.json"), true);
    }
}
