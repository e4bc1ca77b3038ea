<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Flow\Tie;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\Driven;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Plan\WhatHangsOn;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Schools\SchoolCatalogue;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** What is read is in the reader's units, and what is read off a vessel in the vessel's. */
final class ReaderUnitsTest extends TestCase
{
    /** A warm vent says both; a socket and a syringe are called by their size; a gauge reads in inches anyway. */
    private const CALLED = '/Syringe, 10 mL marks|75 °C \(167 °F\)|\d+ mm (socket|hex)/u';

    private const METRIC = '/\d ?(mL|L|°C|kPa|bar|mm|cm|N·m|km|µL)(?![a-z])|\blit(re|er)|kilomet/u';

    #[DataProviderExternal(MachineWordsTest::class, 'circuits')]
    public function test_nobody_who_reads_quarts_is_told_litres(string $key): void
    {
        $circuit = Demo::circuit($key);
        $rules = new HouseRules(vessels: new Vessels(Vessel::usual(UnitSystem::UsCustomary)));
        foreach (SchoolCatalogue::standard()->for($circuit) as $school) {
            $job = JobOnPaper::on($key, school: $school->id(), rules: $rules, choices: ['opened' => []]);
            if ($school->whyNot($circuit, $job->choices) !== null) {
                continue;
            }
            foreach ($job->steps() as $step) {
                $at = self::inQuarts($job->at($step));
                foreach (MachineWordsTest::sentences($at, JobOnPaper::kind($at->step->kind)) as $sentence) {
                    self::assertDoesNotMatchRegularExpression(
                        self::METRIC,
                        (string) preg_replace(self::CALLED, '', $sentence),
                        "{$step} of {$school->id()}",
                    );
                }
            }
        }
    }

    public function test_a_mark_is_told_as_it_stands_on_the_vessel(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 9640.0, 'vessel' => 'pan', 'flow' => 'ran']);
        $told = fn (Situation $at): string => implode(' ', JobOnPaper::kind('mix')->instructions($at));
        [$metric, $us] = [$told($job->at('mix')), $told(self::inQuarts($job->at('mix')))];
        self::assertMatchesRegularExpression('/bucket, 0.25 L marks: concentrate to the [\d.]+ L mark/', $metric);
        preg_match_all('/[\d.]+ L mark\b/', $metric, $marks);
        self::assertCount(2, $marks[0]);
        foreach ($marks[0] as $mark) {
            self::assertStringContainsString($mark, $us, 'the bucket has no marks of quarts');
        }
    }

    public function test_marks_are_of_the_system_in_which_they_are_round(): void
    {
        $mark = fn (float $graduation, float $ml): string => (new Vessel('v', 'V', $graduation, VesselUse::Mix))
            ->mark($ml);
        self::assertSame('5.50 L', $mark(500.0, 5500.0));
        self::assertSame('0.05 L', $mark(10.0, 50.0));
        self::assertSame('2.25 qt', $mark(Unit::Quart->toBase(0.25), Unit::Quart->toBase(2.25)));
        self::assertSame('12.0 fl oz', $mark(Unit::FluidOunce->toBase(4.0), Unit::FluidOunce->toBase(12.0)));
    }

    /** What two buckets hold stands at no mark of one. */
    public function test_no_bucket_is_filled_above_its_rim_to_put_right_what_is_in_two(): void
    {
        $job = JobOnPaper::on('piste-groomer')->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 30_900.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('mix', 'batch', ['concentrate' => 12_000.0, 'water' => 20_000.0]);
        $at = $job->at('mix');
        $told = implode(' ', JobOnPaper::kind('mix')->instructions($at));
        self::assertStringContainsString('A like share to each of the buckets it is in', $told);
        self::assertStringNotContainsString(' mark', $told.JobOnPaper::kind('mix')->tables($at)[0]->rows[0][2]);
    }

    public function test_a_way_may_be_told_in_miles(): void
    {
        $field = fn (UnitSystem $units): Field => array_values(array_filter(
            Driven::asked(false)->fields,
            fn (Field $field) => $field->name === 'distance',
        ))[0];
        self::assertEqualsWithDelta(6.437e6, $field(UnitSystem::UsCustomary)->read('4', UnitSystem::UsCustomary)[0], 1e3);
        self::assertSame(4.0e6, $field(UnitSystem::Metric)->read('4', UnitSystem::Metric)[0]);
        foreach (['distance' => [6.4e6, 'ran_cool'], 'km' => [6.4, 'ran_cool']] as $way => [$told, $code]) {
            $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'low', 'missing' => 0.0])
                ->write('cold_level:1', 'topped', ['volume' => 0.0])
                ->finish('cold_level:1')->wait(3600)
                ->write('drive', 'driven', [$way => $told, 'ect' => 92.0, 'alarm' => 'none']);
            self::assertSame($code, $job->judge('drive')->code, "{$way}, as it is and as it was asked");
        }
    }

    public function test_a_rule_in_miles_is_no_thousandth_of_one(): void
    {
        self::assertSame('99419.4', Unit::Mile->typed(1.6e11));
        self::assertSame('160000', Unit::Kilometre->typed(1.6e11));
    }

    public function test_no_two_heights_lie_nothing_apart(): void
    {
        $circuit = Demo::circuit('taxi-electronics');
        $nodes = array_keys($circuit->nodes);
        $tie = fn (float $mm): Tie => new Tie($nodes[0], $nodes[1], $mm, 100.0, 900.0);
        self::assertStringContainsString('at one height', WhatHangsOn::say($tie(1.0), $circuit, UnitSystem::UsCustomary));
        self::assertStringContainsString('1 mm apart', WhatHangsOn::say($tie(1.0), $circuit, UnitSystem::Metric));
        self::assertStringContainsString('at one height', WhatHangsOn::say($tie(0.3), $circuit, UnitSystem::Metric));
    }

    private static function inQuarts(Situation $at): Situation
    {
        return $at->job->at($at->step, $at->now, UnitSystem::UsCustomary);
    }
}
