<?php

declare(strict_types=1);

namespace Tests\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Intake;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** A reading nobody can have read is asked again, at the field that would explain it. */
final class BelievableTest extends TestCase
{
    /**
     * @param  array<string, string>  $typed
     * @return ?string the field it is refused at; null where it is taken
     */
    private static function refusedAt(JobOnPaper $job, array $typed): ?string
    {
        try {
            $at = $job->at('cool_down:1');
            $intake = new Intake(StepCatalogue::standard());
            $intake->read($at, $intake->offered($at, 'reading', $typed), $typed);
        } catch (InvalidField $refused) {
            return $refused->field;
        } catch (InvalidFields $refused) {
            return (string) array_key_first($refused->byField());
        }

        return null;
    }

    public function test_colder_than_any_air_that_was_told_wants_the_air_beside_it(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'full'])
            ->ranHot('heat_cycle:1');
        self::assertNull(self::refusedAt($job, ['ect' => '1 °C']), 'the air is not asked where it tells nothing');
        self::assertSame('air', self::refusedAt($job, ['ect' => '-1 °C']), 'nobody has said that it freezes');
        self::assertNull(self::refusedAt($job, ['ect' => '-1 °C', 'air' => '-2 °C']));
        self::assertSame('ect', self::refusedAt($job, ['ect' => '-6 °C', 'air' => '-2 °C']), 'colder than its air');
    }
}
