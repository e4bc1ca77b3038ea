<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Judged\PointBled;
use Aqbel\Core\Mixing\Batch;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Writing\Believable;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** What a step says, asks and orders on either side of its edges, where amounts alone do not decide it. */
final class WordingEdgesTest extends TestCase
{
    public function test_a_bleed_point_that_should_have_run_by_now(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'empty']);
        $expected = (float) PointBled::expectedMl($job->at('bleed:bleed_housing'));
        self::assertGreaterThan(1000.0, $expected);
        $said = fn (float $share): ?string => (clone $job)
            ->write('bleed:bleed_housing', 'poured', ['volume' => $share * $expected, 'vessel' => 'bucket'])
            ->judge('bleed:bleed_housing')?->code;
        self::assertNull($said(1.14));
        self::assertSame('should_run', $said(1.16));
    }

    public function test_a_silent_bleed_point_has_a_reason(): void
    {
        $reasons = [];
        foreach (Demo::keys() as $circuit) {
            foreach ([0.0, 300.0] as $lift) {
                $job = JobOnPaper::on($circuit, lift: $lift, choices: ['opened' => []]);
                foreach ($job->state()->stepsOf('bleed') as $step) {
                    $missing = $step->params->number('missing_mm');
                    if ($missing !== null) {
                        $reasons[] = [$missing, JobOnPaper::kind('bleed')->why($job->at($step->id))];
                    }
                }
            }
        }
        foreach ($reasons as [$missing, $why]) {
            self::assertSame($missing > 0.0, str_contains($why, 'above the surface'));
            self::assertStringContainsString('By the model it stays silent.', $why);
            self::assertStringNotContainsString(' 0 mm', $why);
        }
        self::assertNotSame([], $reasons);
    }

    public function test_a_fill_agrees_within_the_air_that_may_stay_or_half_as_much_again(): void
    {
        // 3 % of 12.39 L are 372 mL; the sums of this job are off by more than half as much again, 558.
        $said = fn (float $air): string => JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'low', 'missing' => 11_000.0])
            ->write('fill_level', 'poured', ['volume' => 11_000.0 - $air, 'vessel' => 'syringe'])
            ->write('fill_level', 'at_mark')
            ->judge('fill_level')->code;
        self::assertSame('as_predicted', $said(550.0));
        self::assertSame('air_trapped', $said(565.0));
        self::assertSame('as_predicted', $said(-230.0));
        self::assertSame('full', $said(-250.0), '321 mL of air were predicted to stay');
        self::assertSame('more_than_predicted', $said(-565.0));
    }

    public function test_funnel_and_raised_nose_are_steps_only_where_they_were_planned(): void
    {
        $plan = fn (array $choices): array => array_values(array_intersect(
            array_keys(JobOnPaper::on('rescue-ambulance', choices: $choices)->at('found')->job->steps),
            ['raise', 'funnel', 'open_bleeds', 'lower', 'fill_level'],
        ));
        self::assertSame(['open_bleeds', 'fill_level'], $plan([]));
        self::assertSame(['funnel', 'open_bleeds', 'fill_level'], $plan(['headMm' => 250.0]));
        // Raised from the start it is up when the vehicle was made safe; the level is read down again all the same.
        self::assertSame(['open_bleeds', 'lower', 'fill_level'], $plan(['noseLiftMm' => 250.0]));
        self::assertSame(['raise', 'open_bleeds', 'lower', 'fill_level'], $plan(['school' => 'raise']));
        foreach (['watch', 'open_neck', 'loose_cap'] as $school) {
            self::assertSame(
                ['funnel', 'lower', 'fill_level'],
                $plan(['school' => $school, 'noseLiftMm' => 250.0, 'headMm' => 200.0]),
                $school,
            );
        }
        $labels = array_map(
            fn ($field) => $field->label,
            JobOnPaper::kind('funnel')->forms(
                JobOnPaper::on('rescue-ambulance', choices: ['headMm' => 250.0])->at('funnel'),
            )[0]->fields,
        );
        self::assertContains('Surface held 250 mm above the neck', $labels);
    }

    public function test_three_lines_are_named_where_a_number_is_wrong_the_one_that_turned_it_first(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full']);
        foreach ([9_000.0, 8_000.0, 7_000.0, 6_000.0] as $ml) {
            $job->write('fill_level', 'poured', ['volume' => $ml, 'vessel' => 'jug']);
        }
        $reason = $job->judge('fill_level')->reason;
        self::assertStringContainsString(
            'Which is wrong: Poured 9.00 L, Content found 11.73 L, Poured 8.00 L?',
            $reason,
        );
    }

    public function test_how_long_ago_the_last_reading_was(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('cold_check', 'reading', ['ect' => 90.0, 'air' => 15.0], 0);
        $refused = function (int $seconds) use ($job): string {
            $at = (clone $job)->wait($seconds)->at('cold_check');
            $form = JobOnPaper::kind('cool_down')->form($at, 'reading');
            try {
                Believable::check(
                    $at,
                    $form->fields,
                    $form->read(['ect' => '30', 'air' => '15'], UnitSystem::Metric),
                    false,
                );
            } catch (InvalidField $refused) {
                return $refused->getMessage();
            }

            return '';
        };
        self::assertStringContainsString('90 °C a minute ago', $refused(80));
        self::assertStringContainsString('90 °C 2 min ago', $refused(100));
    }

    public function test_what_is_left_of_a_batch_is_offered_to_fifty_millilitres(): void
    {
        $offered = fn (float $ml): string => JobOnPaper::kind('left_over')->form(
            JobOnPaper::on('rescue-ambulance')
                ->write('mix', 'batch', ['concentrate' => $ml / 2, 'water' => $ml / 2])
                ->at('left_over'),
            'kept',
        )->fields[0]->defaultText(UnitSystem::Metric);
        self::assertSame('1.05', $offered(1_030.0));
        self::assertSame('1.00', $offered(1_020.0));
    }

    public function test_so_much_is_enough_for_topping_up(): void
    {
        $said = fn (float $missing): string => implode(' ', JobOnPaper::kind('mix')->instructions(
            JobOnPaper::on('rescue-ambulance')
                ->write('found', 'found', ['content' => 'low', 'missing' => $missing])
                ->at('mix'),
        ));
        // What a full circuit of this size lacks below its mark, and its spare, stays under a litre up to about 660 mL.
        self::assertStringContainsString('That is enough for topping up', $said(0.0));
        self::assertStringContainsString('more than the circuit takes', $said(2_000.0));
    }

    public function test_premix_is_called_premix_and_water_is_only_poured_where_some_is(): void
    {
        $job = fn (float $stock) => JobOnPaper::on('rescue-ambulance', choices: ['stockFraction' => $stock])
            ->write('found', 'found', ['content' => 'empty']);
        $rows = fn (float $stock): array => JobOnPaper::kind('mix')->tables($job($stock)->at('mix'))[0]->rows;
        self::assertSame(['Concentrate', 'Water'], array_column($rows(1.0), 0));
        self::assertSame(
            ['Premix 50 %'],
            array_column($rows(0.5), 0),
            'premix of the strength that is wanted needs no water',
        );
        self::assertStringContainsString(
            'The premix is ready as it is',
            implode(' ', JobOnPaper::kind('mix')->instructions($job(0.5)->at('mix'))),
        );
        self::assertStringContainsString(
            'concentrate to the',
            implode(' ', JobOnPaper::kind('mix')->instructions($job(1.0)->at('mix'))),
        );
        self::assertStringContainsString(
            'Premix 50 %',
            JobOnPaper::kind('mix')->form($job(0.5)->at('mix'), 'batch')->fields[0]->label,
        );
        $begun = $job(1.0)->write('mix', 'batch', ['concentrate' => 4_000.0, 'water' => 0.0]);
        self::assertStringContainsString(
            'to the 6.75 L mark',
            JobOnPaper::kind('mix')->tables($begun->at('mix'))[0]->rows[0][2],
            'on top of what is there',
        );
        $weak = $job(1.0)
            ->write('mix', 'batch', ['concentrate' => 4_000.0, 'water' => 8_000.0])
            ->judge('mix')->reason;
        self::assertMatchesRegularExpression('/Add [\d.]+ L concentrate to the bucket/', $weak);
        self::assertStringNotContainsString('L water to', $weak);
    }

    public function test_as_much_out_as_in_again_hides_neither_number(): void
    {
        $reason = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])
            ->write('drain:left_plug', 'out', ['volume' => 3_000.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('fill_level', 'poured', ['volume' => 3_000.0, 'vessel' => 'jug'])
            ->write('fill_level', 'poured', ['volume' => 4_000.0, 'vessel' => 'jug'])
            ->judge('fill_level')
            ->reason;
        self::assertStringContainsString('Which is wrong: Poured 4.00 L, Content found 11.73 L, ', $reason);
        self::assertMatchesRegularExpression('/(Out: Left [^?]*|Poured) 3.00 L\?/', $reason);
    }

    public function test_a_point_that_ran_off_its_prediction_is_told_so(): void
    {
        $said = function (float $share): string {
            $job = JobOnPaper::drainedAmbulance();
            $point = array_values(array_filter($job->state()->steps, fn ($step) => $step->kind === 'bleed'))[0];
            $job->write($point->id, 'poured', [
                'volume' => $share * (float) $point->params->number('at_ml'), 'vessel' => 'syringe', 'liquid' => 'premix',
            ]);

            return (string) $job
                ->write($point->id, 'running')
                ->wait(300)
                ->write($point->id, 'closed')
                ->judge($point->id)
                ?->reason;
        };
        self::assertStringContainsString('so early, air may have stayed', $said(0.6));
        self::assertStringNotContainsString('Predicted was', $said(1.0));
        self::assertStringContainsString('so late, coolant went elsewhere', $said(1.2));
    }

    public function test_what_is_in_the_bucket_already_is_not_ordered_again(): void
    {
        $mixed = fn (float $stock, float $water) => JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'empty'])
            ->write('mix', 'batch', ['concentrate' => $stock, 'water' => $water]);
        $told = fn (JobOnPaper $job): string => implode(' ', JobOnPaper::kind('mix')->instructions($job->at('mix')));
        self::assertStringContainsString('It is mixed. Stir.', $told($mixed(7_000.0, 7_000.0)));
        $short = $told($mixed(7_000.0, 0.0));
        self::assertMatchesRegularExpression('/marks: water to the [\d.]+ L mark/', $short);
        self::assertStringNotContainsString('concentrate to', $short);
        // A mark of stock short, and more than the circuit takes: nothing is added to what is on its target.
        $near = $mixed(6_750.0, 7_000.0);
        self::assertSame('on_target', $near->judge('mix')?->code);
        self::assertSame([], JobOnPaper::kind('mix')->tables($near->at('mix')));
        // Where even pure concentrate does not reach it, no more is ordered into the bucket.
        $beyondReach = JobOnPaper::on('rescue-ambulance', choices: ['drains' => ['left_plug'], 'content' => Compatibility::Water])
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:left_plug', 'out', ['volume' => 2_000.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('mix', 'batch', ['concentrate' => 2_500.0, 'water' => 0.0]);
        self::assertStringContainsString('It is mixed. Stir.', $told($beyondReach));
        self::assertStringContainsString('nothing in the bucket changes that', (string) $beyondReach->judge('mix')?->reason);
        // Thirty litres of weak mixture are not put right: the circuit takes twelve.
        $beyond = $mixed(4_000.0, 26_000.0);
        self::assertStringContainsString('set this batch aside', (string) $beyond->judge('mix')?->reason);
        self::assertStringContainsString('Set this batch aside', $told($beyond));
        self::assertSame([], JobOnPaper::kind('mix')->tables($beyond->at('mix')));
    }

    public function test_a_batch_of_stock_hardly_stronger_than_wanted_is_not_stretched_without_end(): void
    {
        $missing = fn (float $stock): array => Batch::empty()->with(4_000.0, 0.0)->missing(
            new Mix(Volume::litres(10), Volume::litres(0), 0.0, 0.5, $stock),
            10_000.0,
            50.0,
        );
        self::assertSame([6000.0, 0.0], $missing(0.5095), 'no batch can be made right with it');
        self::assertGreaterThan(6_000.0, $missing(0.5105)[0]);
    }

    public function test_half_a_change_is_asked_about_from_fifteen_per_cent_on(): void
    {
        $said = fn (float $out): string => JobOnPaper::on('post-van', choices: [
            'jobKind' => JobKind::Change, 'opened' => [],
        ])
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => $out, 'vessel' => 'pan', 'flow' => 'ran'])
            ->judge('rinse')->code;
        $job = JobOnPaper::on('post-van');
        $full = $job->state()->circuit->capacityMl() - $job->plan()->headspaceMl();
        self::assertSame('not_needed', $said(0.855 * $full));
        self::assertSame('much_stays', $said(0.845 * $full));
    }

    public function test_up_to_six_rinses_are_offered(): void
    {
        $form = JobOnPaper::kind('rinse')->form(JobOnPaper::drainedAmbulance()->at('rinse'), 'decision');
        self::assertSame(['1', '2', '3', '4', '5', '6'], array_map(strval(...), array_keys($form->fields[1]->choices)));
    }

    public function test_gel_is_rinsed_until_next_to_nothing_is_left(): void
    {
        $job = JobOnPaper::drainedAmbulance(['content' => Compatibility::Unknown])->write('look', 'seen', [
            'coolant' => 'gel',
        ]);
        self::assertStringContainsString(
            '1 % old coolant',
            JobOnPaper::kind('rinse')->tables($job->at('rinse'))[0]->caption,
        );
        $milder = JobOnPaper::on(
            'rescue-ambulance',
            rules: new HouseRules(oldShare: 0.2),
            choices: [
                'content' => Compatibility::OtherFamily,
            ],
        )->write('found', 'found', ['content' => 'full']);
        self::assertSame('needed', $milder->judge('rinse')->code);
    }
}
