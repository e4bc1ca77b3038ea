<?php

declare(strict_types=1);

namespace Tests\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Observed\CameBack;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\DripSeen;
use Aqbel\Core\Observed\Driven;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\FreezePointRead;
use Aqbel\Core\Observed\FromShelf;
use Aqbel\Core\Observed\HeldAtSpeed;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\LevelReached;
use Aqbel\Core\Observed\OilCause;
use Aqbel\Core\Observed\OutsideAir;
use Aqbel\Core\Observed\Rested;
use Aqbel\Core\Observed\Sign;
use Aqbel\Core\Observed\ToldInHaste;
use Aqbel\Core\Observed\Vented;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/**
 * What a reading can be at all, each a little on this side of its
 * edge and a little on that (common practice, no source).
 */
final class EdgesTest extends TestCase
{
    private static function field(Form $form, string $name): Field
    {
        foreach ($form->fields as $field) {
            if ($field->name === $name) {
                return $field;
            }
        }
        self::fail("{$form->name} has no {$name}");
    }

    private static function takes(Field $field, string $typed): bool
    {
        try {
            return $field->read($typed, UnitSystem::Metric)[0] !== null;
        } catch (InvalidField) {
            return false;
        }
    }

    /** @return array<string, array{Field, string, string}> taken; not taken */
    public static function bounds(): array
    {
        $drive = Driven::asked(false);
        $facts = Demo::circuit('rescue-ambulance')->facts;
        $hold = JobOnPaper::kind('hold')->form(
            JobOnPaper::on('rescue-ambulance', school: 'vacuum')->at('hold:1'),
            'school',
        );
        $test = JobOnPaper::kind('pressure_test')->form(
            JobOnPaper::on('rescue-ambulance')->at('pressure_test'),
            'test',
        );
        [$caught, , $spilt] = CameBack::fields(Demo::circuit('rescue-ambulance'), 'Left', true);

        return [
            'so far' => [self::field($drive, 'distance'), '1000', '1001'],
            'so long' => [self::field($drive, 'minutes'), '600', '601'],
            'as cold' => [self::field($drive, 'ect'), '0', '-0.1'],
            'as hot' => [self::field($drive, 'ect'), '150', '150.2'],
            'no mixture freezes lower' => [self::field(FreezePointRead::asked(), 'freeze'), '-70', '-70.2'],
            'nor above water' => [self::field(FreezePointRead::asked(), 'freeze'), '0', '0.2'],
            'a hold of two hours' => [self::field($hold, 'minutes'), '120', '121'],
            'pumped to' => [self::field($test, 'start'), '109', '401'],
            'under pressure' => [self::field($test, 'held'), '120', '121'],
            'air outside' => [OutsideAir::field('Air', true), '55', '55.2'],
            'cold air outside' => [OutsideAir::field('Air', true), '-40', '-40.2'],
            'an outlet' => [HotReading::outletField('front'), '120', '120.2'],
            'a cold outlet' => [HotReading::outletField('front'), '-40', '-40.2'],
            'stood for' => [self::field(Rested::asked(), 'since'), '9600 h', '9601 h'],
            'left in a bucket' => [LevelReached::inBucketField(), '200', '200.5'],
            'caught' => [$caught, '20', '20.2'],
            'in the rags' => [$spilt, '5', '5.2'],
            'vented' => [self::field(Vented::asked(null), 'caught'), '5', '5.2'],
        ];
    }

    #[DataProvider('bounds')]
    public function test_no_reading_lies_beyond(Field $field, string $within, string $beyond): void
    {
        self::assertTrue(self::takes($field, $within));
        self::assertFalse(self::takes($field, $beyond));
    }

    public function test_a_spill_is_good_to_half_of_it_and_a_jug_to_its_marks(): void
    {
        $at = JobOnPaper::on('rescue-ambulance')->at('gather');
        $out = fn (string $way): float => (float) CameOut::of(
            new Entry(
                1,
                0,
                '',
                'gather',
                'outlet',
                new Values(['way' => $way, 'volume' => 1_000.0, 'vessel' => 'jug']),
            ),
        )?->toldWithinMl($at);
        self::assertEqualsWithDelta(500.0, $out('spill'), 1.0e-6);
        self::assertEqualsWithDelta(500.0, $out('estimated'), 1.0e-6);
        self::assertLessThan(100.0, $out('hose'));
    }

    public function test_which_way_it_came_out_and_what_a_hunt_found_is_said_by_nobody_but_whoever_looked(): void
    {
        $at = JobOnPaper::on('rescue-ambulance')->at('gather');
        $asked = [
            [CameOut::asked($at), 'way', ['volume' => '0.4 L', 'vessel' => 'pan']],
            [DripSeen::asked(), 'place', ['gas' => 'undone']],
            [OilCause::asked(), 'cause', []],
        ];
        foreach ($asked as [$form, $field, $rest]) {
            try {
                $form->read($rest, UnitSystem::Metric);
                self::fail("{$form->name} was taken without its {$field}");
            } catch (InvalidField|InvalidFields $refused) {
                $named = $refused instanceof InvalidField ? $refused->field : array_key_first($refused->byField());
                self::assertSame($field, $named);
            }
        }
    }

    public function test_a_container_gives_no_more_than_it_holds(): void
    {
        $taken = fn (float $ml, ?float $there): ?string => self::refused(
            fn () => FromShelf::admit(new Values(['volume' => $ml]), $there, '2.00 L'),
        );
        self::assertNull($taken(2_000.0, 2_000.0));
        self::assertNull($taken(9_000.0, null));
        self::assertStringContainsString('holds only 2.00 L', (string) $taken(2_000.1, 2_000.0));
    }

    public function test_a_needle_and_a_temperature_that_do_not_go_together_are_asked_again(): void
    {
        $drove = fn (string $needle, float $celsius): ?string => self::refused(
            fn () => Driven::admit(
                new Values(['minutes' => 900.0, 'ect' => $celsius, 'needle' => $needle, 'alarm' => 'none']),
            ),
        );
        self::assertStringContainsString('do not go together', (string) $drove('low', 92.0));
        self::assertNotNull($drove('low', 75.0));
        self::assertNull($drove('low', 74.0));
        self::assertNotNull($drove('middle', 54.0));
        self::assertNull($drove('middle', 55.0));
        self::assertNull($drove('middle', 92.0));
        // Past boiling it is a danger first, and a needle above the middle is one at any reading.
        self::assertNull($drove('low', 100.0));
        self::assertNull($drove('high', 92.0));
    }

    public function test_less_than_a_quarter_of_a_mark_is_not_read_between_marks(): void
    {
        $at = JobOnPaper::on('rescue-ambulance')->at('gather');
        $mark = Plan::of($at)->rules()->vessels->of('pan')->graduationMl;
        $read = fn (float $marks): ?string => self::refused(
            fn () => VesselReading::admit($at, new Values(['volume' => $marks * $mark, 'vessel' => 'pan'])),
        );
        self::assertNull($read(0.26));
        self::assertNotNull($read(0.24));
    }

    private static function refused(\Closure $act): ?string
    {
        try {
            $act();

            return null;
        } catch (InvalidField $refused) {
            return $refused->getMessage();
        }
    }

    public function test_an_outlet_is_named_where_there_are_several_and_minutes_where_there_are_any(): void
    {
        $labels = fn (string $circuit): string => implode(
            '|',
            array_map(
                fn (Field $field) => $field->label,
                FeltReading::asked(Demo::circuit($circuit)->facts, [], [])->fields,
            ),
        );
        self::assertStringNotContainsString('Heater air by hand,', $labels('rescue-ambulance'));
        self::assertStringContainsString('Heater air by hand, front', $labels('school-minibus'));
        $holds = self::field(HeldAtSpeed::asked(), 'speed')->choices;
        self::assertSame('2,000–3,000 rpm: drives air out, 2.5 min', $holds['revs']);
        self::assertSame('Hoses squeezed with gloves: moves a bubble', $holds['squeeze']);
    }

    public function test_a_needle_is_taken_for_missing_where_everybody_said_so(): void
    {
        $facts = Demo::circuit('yard-tractor')->facts;
        $felt = fn (string $needle): FeltReading => FeltReading::of(
            new Entry(1, 0, '', '', 'felt', new Values(['needle' => $needle, 'hose' => 'warm'])),
        ) ?? throw new \LogicException;
        $preset = fn (FeltReading ...$before): ?string => self::field(
            FeltReading::askedOnWater($facts, array_values($before)),
            'needle',
        )->default;
        self::assertSame([null, 'none', null], [
            $preset(), $preset($felt('none')), $preset($felt('none'), $felt('low')),
        ]);
    }

    public function test_without_a_needle_a_hose_tells_how_warm_it_is_and_a_heater_alone_does_not(): void
    {
        $felt = fn (array $values): ?FeltReading => FeltReading::of(
            new Entry(1, 0, '', '', 'felt', new Values(['needle' => 'none', ...$values])),
        );
        self::assertNull($felt([]));
        self::assertTrue($felt(['hose' => 'hot'])?->isWarmedUp());
        self::assertFalse($felt(['hose' => 'warm'])?->isWarmedUp());
        self::assertFalse($felt(['heater' => 'hot'])?->isWarmedUp());
        self::assertFalse($felt(['needle' => 'low', 'hose' => 'hot'])?->isWarmedUp());
    }

    public function test_what_is_told_in_haste_is_neither_a_reading_nor_felt(): void
    {
        $told = fn (string $form, array $values): ?ToldInHaste => ToldInHaste::of(
            new Entry(1, 0, '', '', $form, new Values($values)),
        );
        self::assertSame(Sign::Steam, $told('reading', ['sign' => 'steam'])?->sign);
        self::assertSame(Sign::Rough, $told('felt', ['sign' => 'rough'])?->sign);
        self::assertSame(101.0, $told('reading', ['sign' => 'none', 'far' => 101.0])?->farC);
        self::assertNull($told('reading', ['sign' => 'steam', 'ect' => 80.0]));
        self::assertNull($told('felt', ['sign' => 'steam', 'needle' => 'low']));
        self::assertNull($told('reading', ['sign' => 'none']));
        self::assertNull($told('shut_off', ['sign' => 'steam']));
    }
}
