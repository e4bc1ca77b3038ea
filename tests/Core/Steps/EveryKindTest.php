<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Job\Stage;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\StepCatalogue;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What every kind of step must have. */
final class EveryKindTest extends TestCase
{
    public function test_every_kind_has_all_it_needs_for_a_screen(): void
    {
        foreach (['gravity', 'vacuum'] as $school) {
            $state = JobOnPaper::on('rescue-ambulance', $school, cure: 60.0)->state();
            foreach ($state->steps as $step) {
                $kind = StepCatalogue::standard()->of($step);
                $at = $state->at($step, 0);
                self::assertNotSame('', $kind->title($at));
                self::assertMatchesRegularExpression('/[.!?]$/', $kind->why($at), $step->id);
                self::assertNotSame([], $kind->instructions($at), $step->id);
                self::assertNotSame(
                    [],
                    $kind->obstacles($at) ?: (in_array($step->kind, ['sign_off', 'reconcile'], true) ? [1] : []),
                    "{$step->id} would be finished without doing anything",
                );
                self::assertGreaterThan(0.0, $kind->labour($step, Plan::of($state)->choices)->total());
            }
            self::assertSame(
                // A vacuum proves tight before it fills.
                $school === 'vacuum' ? [0, 1, 2, 3, 4, 5, 7, 6, 8, 9, 10, 11] : range(0, 11),
                array_values(array_unique(array_map(fn ($s) => $s->stage->value, array_values($state->steps)))),
                'all stages, in order',
            );
            self::assertSame(
                array_map(fn ($s) => $s->stage, array_values($state->steps))[0],
                Stage::asTheyCome($state->steps)[0],
            );
            self::assertSame(
                $school === 'vacuum',
                array_search(Stage::Vacuum, Stage::asTheyCome($state->steps), true)
                    < array_search(Stage::Fill, Stage::asTheyCome($state->steps), true),
            );
        }
    }

    public function test_a_kind_is_known_by_the_code_it_has(): void
    {
        foreach (StepCatalogue::standard()->all() as $code => $kind) {
            self::assertSame($code, $kind->name());
        }
    }
}
