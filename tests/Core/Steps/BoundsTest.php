<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Observed\FoundOnTheWay;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Values;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What may be typed: as far as anything on a vehicle goes, and no further (common practice, no source). */
final class BoundsTest extends TestCase
{
    /** Least and most by form and field: °C, mL, s, km, kPa, days. */
    private const BOUNDS = [
        'baseline.fan_off' => [20.0, 150.0],
        'baseline.outside' => [-40.0, 55.0],
        'baseline.plateau' => [20.0, 150.0],
        'booked.days' => [1.0, 400.0],
        'driven.ect' => [0.0, 150.0],
        'driven.distance' => [0.0, 1.0e9],
        'driven.minutes' => [0.0, 36_000.0],
        'found.freeze' => [-70.0, 5.0],
        'freeze.freeze' => [-70.0, 0.0],
        'pumped.start' => [0.0, 400.0],
        'reading.air' => [-40.0, 55.0],
        'reading.outlet_front' => [-40.0, 120.0],
        'rested.since' => [0.0, 400 * 86_400.0],
        'returned.caught' => [0.0, 20_000.0],
        'returned.spilt' => [0.0, 5_000.0],
        'school.minutes' => [0.0, 7_200.0],
        'test.held' => [0.0, 7_200.0],
        'test.start' => [0.0, 400.0],
        'vented.caught' => [0.0, 5_000.0],
        'vented_warm.caught' => [0.0, 2_000.0],
        'vented_warm.ect' => [30.0, 75.0],
    ];

    public function test_every_bound_is_what_can_be_on_a_vehicle(): void
    {
        $kinds = StepCatalogue::standard();
        $bounds = [];
        foreach (['gravity', 'vacuum', 'funnel', 'open_neck', 'vent_bolt'] as $school) {
            $job = JobOnPaper::on('rescue-ambulance', school: $school);
            foreach ($job->state()->steps as $id => $step) {
                foreach ($kinds->of($step)->everything($job->at($id)) as $form) {
                    foreach ($form->fields as $field) {
                        $bounds["{$form->name}.{$field->name}"] = [$field->least, $field->most];
                    }
                }
            }
        }
        foreach (self::BOUNDS as $field => $expected) {
            self::assertSame($expected, $bounds[$field] ?? null, $field);
        }
    }

    public function test_a_finding_says_what_was_found(): void
    {
        $this->expectException(InvalidField::class);
        FoundOnTheWay::admit(new Values(['what' => '  ', 'then' => 'note']));
    }
}
