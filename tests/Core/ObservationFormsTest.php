<?php

declare(strict_types=1);

namespace Tests\Core;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Values;
use PHPUnit\Framework\TestCase;

/** Lines of other forms are never read for an observation that names its own. */
final class ObservationFormsTest extends TestCase
{
    private const EVERYTHING = [
        'ect' => 90.0,
        'far' => 85.0,
        'outlet_front' => 60.0,
        'volume' => 500.0,
        'reading_ml' => 500.0,
        'level' => 'mark',
        'speed' => 'idle',
        'coolant' => 'clean',
        'needle' => 'middle',
        'hose' => 'hot',
        'heater' => 'hot',
        'sign' => 'none',
        'place' => 'outdoors',
        'neck' => 'sealed',
        'way' => 'hose',
        'caught' => 100.0,
        'why' => 'so',
    ];

    public function testAnObservationIsToldByItsOwnFormsAlone(): void
    {
        $seen = 0;
        foreach ($this->kinds() as $kind) {
            $forms = $kind::forms();
            foreach ($forms === [] ? [] : $this->allForms() as $form) {
                $told = $kind::of(new Entry(1, 1, 'Somebody', 'step', $form, new Values(self::EVERYTHING)));
                self::assertTrue(
                    $told === null || in_array($form, $forms, true),
                    "{$kind} reads {$form}, which it does not name",
                );
                $seen += $told === null ? 0 : 1;
            }
        }

        self::assertGreaterThan(20, $seen);
    }

    /** @return list<class-string<Observation>> */
    private function kinds(): array
    {
        $kinds = [];
        foreach (glob(__DIR__.'/../../core/Observed/*.php') ?: [] as $file) {
            $kind = 'Aqbel\Core\Observed\\'.basename($file, '.php');
            if (is_subclass_of($kind, Observation::class) && ! (new \ReflectionClass($kind))->isAbstract()) {
                $kinds[] = $kind;
            }
        }

        return $kinds;
    }

    /** @return list<string> every form that any observation, or any step, knows */
    private function allForms(): array
    {
        $forms = array_map(fn (Lines $line) => $line->value, Lines::cases());
        foreach ($this->kinds() as $kind) {
            array_push($forms, ...$kind::forms());
        }

        return array_values(
            array_unique([...$forms, 'reading', 'felt', 'done', 'drained', 'poured', 'needle', 'drove', 'look']),
        );
    }
}
