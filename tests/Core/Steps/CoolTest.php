<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Values;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** Standing until it may be opened, and the level then. */
final class CoolTest extends TestCase
{
    public function test_top_ups_that_do_not_shrink_are_not_air(): void
    {
        $job = JobOnPaper::on('rescue-ambulance');
        foreach ([1 => 200.0, 2 => 190.0, 3 => 210.0] as $round => $ml) {
            $job->ranHot("heat_cycle:{$round}")->write("cold_level:{$round}", 'opened', ['ect' => 20.0])
                ->write("cold_level:{$round}", 'topped', ['volume' => $ml, 'vessel' => 'syringe']);
            if ($round < 3) {
                $job->finish("cold_level:{$round}");
            }
        }
        self::assertSame('Not air', $job->judge('cold_level:3')->title);
        self::assertStringContainsString('combustion gas', $job->judge('cold_level:3')->reason);
    }

    public function test_the_hot_neck_rule_knows_how_the_neck_stood(): void
    {
        $open = fn (string $neck) => JobOnPaper::kind('cold_level')->admit(
            JobOnPaper::on('rescue-ambulance')
                ->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => $neck])
                ->at('cold_level:1'),
            'opened',
            new Values(['ect' => 80.0]),
        );
        $open('funnel');
        $open('resting');
        $this->expectException(InvalidField::class);
        $this->expectExceptionMessage('Do not open it');
        $open('sealed');
    }

    public function test_two_hours_standing_is_the_least(): void
    {
        $rested = fn (float $hours) => JobOnPaper::on('rescue-ambulance')->write(
            'cold_check',
            'rested',
            ['since' => $hours * 3600.0],
        );
        self::assertTrue($rested(1.5)->isHard('cold_check'));
        self::assertSame([], $rested(11)->obstacles('cold_check'));
        self::assertTrue(
            $rested(11)->write('cold_check', 'reading', ['ect' => 70.0, 'air' => 15.0])->isHard('cold_check'),
            'a hot reading outranks the clock on the wall',
        );
    }

    public function test_standing_time_cannot_outrun_the_journal(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'])
            ->write('heat_cycle:1', 'shut_off', later: 7200);
        JobOnPaper::kind('cool_down')->admit($job->at('cool_down:1'), 'rested', new Values(['since' => 7200.0]));
        $this->expectException(InvalidField::class);
        $this->expectExceptionMessage('120 min ago');
        JobOnPaper::kind('cool_down')->admit($job->at('cool_down:1'), 'rested', new Values(['since' => 11 * 3600.0]));
    }

    public function test_what_stands_around_an_engine_makes_its_clock_longer_or_shorter(): void
    {
        $minutes = function (Shelter $shelter): float {
            $job = JobOnPaper::on('rescue-ambulance', choices: ['shelter' => $shelter])->write(
                'cool_down:1',
                'reading',
                ['ect' => 90.0, 'air' => 20.0],
                600,
            );
            $clock = JobOnPaper::kind('cool_down')->clock($job->at('cool_down:1'));

            return ($clock->until - $clock->since) / 60.0;
        };
        self::assertLessThan($minutes(Shelter::Open), $minutes(Shelter::Wind));
        self::assertLessThan($minutes(Shelter::HoodShut), $minutes(Shelter::Open));
        self::assertLessThan($minutes(Shelter::Blanket), $minutes(Shelter::HoodShut));
    }

    public function test_two_hours_under_a_blanket_are_not_two_hours_in_the_open(): void
    {
        $rested = fn (Shelter $shelter, float $hours) => JobOnPaper::on(
            'rescue-ambulance',
            choices: ['shelter' => $shelter],
        )
            ->write('cold_check', 'rested', ['since' => $hours * 3600.0])
            ->isHard('cold_check');
        self::assertFalse($rested(Shelter::Open, 2.6));
        self::assertTrue($rested(Shelter::Blanket, 2.6));
        self::assertFalse($rested(Shelter::Blanket, 5.0));
        self::assertSame($rested(Shelter::Open, 1.9), $rested(Shelter::Wind, 1.9), 'wind opens nothing sooner');
    }

    public function test_the_cool_down_clock_learns_from_a_second_reading(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('cool_down:1', 'reading', ['ect' => 90.0, 'air' => 20.0], 600);
        $typical = JobOnPaper::kind('cool_down')->clock($job->at('cool_down:1'));
        $job->write('cool_down:1', 'reading', ['ect' => 20.0 + 70.0 * exp(-600 / 2400), 'air' => 20.0]);
        $own = JobOnPaper::kind('cool_down')->clock($job->at('cool_down:1'));
        self::assertGreaterThan(
            2400 * log(70 / 25) - 600,
            $own->until - $own->since,
            'nine engines of ten are cold by then, not half of them',
        );
        self::assertLessThan($typical->until, $own->until);
    }

    public function test_a_reading_that_is_cold_is_all_it_wants(): void
    {
        $job = JobOnPaper::on('rescue-ambulance');
        $forms = JobOnPaper::kind('cool_down')->everything($job->at('cool_down:1'));
        self::assertSame(
            ['reading'],
            array_values(array_map(fn ($form) => $form->name, array_filter($forms, fn ($form) => $form->main))),
        );
    }
}
