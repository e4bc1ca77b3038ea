<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Plan\Materials;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Schools\Gravity;
use Aqbel\Core\Schools\Vacuum;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** Parts, covers and torques. */
final class MaterialsTest extends TestCase
{
    public function test_covers_parts_and_torques_come_from_the_circuit(): void
    {
        $choices = JobOnPaper::on('rescue-ambulance')->choices;
        $materials = new Materials(Demo::circuit('rescue-ambulance'), $choices, new Gravity);
        self::assertEqualsCanonicalizing(
            ['Intake duct', 'Undertray', 'Heat shield, right'],
            array_map(fn ($c) => $c->label, $materials->covers()),
        );
        self::assertStringContainsString('thermostat gasket', implode(';', $materials->parts()));
        $close = $materials->toCloseUp(UnitSystem::Metric);
        self::assertSame(
            'Thermostat: spring toward the engine, jiggle pin at the top, new gasket',
            $close['thermostat'],
        );
        self::assertStringContainsString('9.0 N·m', $close['joint_upper_hose']);
        self::assertStringContainsString(
            '18.4 ft·lb',
            $materials->toCloseUp(UnitSystem::UsCustomary)['drain_left_plug'],
        );
        self::assertStringContainsString('by feel', $close['drain_radiator_cock']);
        self::assertArrayHasKey('cover_shield', $close, 'needed to run and in nobody’s way');
        self::assertSame(['intake'], $materials->toRefitBeforeStart(), 'the bleed screw lies under it');
        self::assertSame(['undertray'], $materials->toRefitAtTheEnd());
        // In a vacuum fill nothing waits for the bleed points.
        self::assertSame(
            [],
            (new Materials(Demo::circuit('rescue-ambulance'), $choices->with('vacuum'), new Vacuum))
                ->toRefitBeforeStart(),
        );
    }

    public function test_every_cover_that_comes_off_goes_back_once(): void
    {
        foreach (Demo::keys() as $key) {
            $circuit = Demo::circuit($key);
            foreach (['gravity', 'vacuum'] as $school) {
                foreach ([
                    [], array_keys($circuit->passages), array_slice(array_keys($circuit->passages), 2, 4),
                ] as $opened) {
                    $materials = JobOnPaper::on($key, $school, choices: ['opened' => $opened])
                        ->plan()
                        ->materials($circuit);
                    $close = array_filter(
                        array_keys($materials->toCloseUp(UnitSystem::Metric)),
                        fn (string $item) => str_starts_with($item, 'cover_'),
                    );
                    $back = [
                        ...array_map(fn (string $item) => substr($item, 6), $close),
                        ...$materials->toRefitBeforeStart(),
                        ...$materials->toRefitAtTheEnd(),
                    ];
                    self::assertSame(count($back), count(array_unique($back)), "{$key}: twice");
                    self::assertEqualsCanonicalizing(
                        array_map(fn ($cover) => $cover->id, $materials->covers()),
                        $back,
                        "{$key}, {$school}",
                    );
                }
            }
        }
    }
}
