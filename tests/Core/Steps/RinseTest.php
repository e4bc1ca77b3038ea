<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Judged\RinseWarmUp;
use Aqbel\Core\Judged\ShutOffNow;
use Aqbel\Core\Judged\WasteSum;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Saying\Tone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** Rinsing until little enough of the old coolant is left. */
final class RinseTest extends TestCase
{
    public function test_one_more_drain_saves_rinses(): void
    {
        $job = JobOnPaper::on(
            'school-minibus',
            choices: ['content' => Compatibility::OtherFamily, 'drains' => ['radiator_cock'], 'opened' => []],
        )
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 6000.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('look', 'seen', ['coolant' => 'clean', 'next' => 'waste']);
        $rows = JobOnPaper::kind('rinse')->tables($job->at('rinse'))[0]->rows;
        self::assertCount(2, $rows);
        self::assertGreaterThanOrEqual((int) $rows[1][1], (int) $rows[0][1]);
        self::assertLessThan((float) $rows[0][3], (float) $rows[1][3], 'the same number leaves less of the old');
        self::assertStringContainsString('Block plug', $rows[1][0]);
        self::assertStringContainsString(
            'Old coolant must not stay',
            $job->write('rinse', 'decision', ['rinse' => 'skip'])->obstacles('rinse')[0],
        );
        self::assertContains(
            'rinse:2',
            $job->write('rinse', 'more', ['point' => 'block_plug'])->finish('rinse')->steps(),
        );
    }

    public function test_a_thorough_drain_needs_no_rinse_even_between_families(): void
    {
        $job = JobOnPaper::on('piste-groomer', choices: ['content' => Compatibility::OtherFamily, 'opened' => []])
            ->write('found', 'found', ['content' => 'full']);
        $full = $job->state()->ledger()->contentMl;
        $job->write('drain:radiator_cock', 'out', ['volume' => 0.97 * $full, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('look', 'seen', ['coolant' => 'clean']);
        self::assertSame('No rinse needed', $job->judge('rinse')->title);
        self::assertStringContainsString(
            '3 % of the full circuit would be old coolant; 5 % may stay',
            $job->judge('rinse')->reason,
        );
    }

    public function test_where_nothing_came_out_the_old_coolant_is_not_called_gone(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: ['content' => Compatibility::OtherFamily])
            ->write('found', 'found', ['content' => 'full']);
        self::assertSame(Tone::Wait, $job->judge('rinse')->tone);
        self::assertNotSame([], $job->write('rinse', 'decision', ['rinse' => 'skip'])->obstacles('rinse'));
    }

    public function test_each_cycle_has_its_own_warm_up_cool_down_and_drain(): void
    {
        $job = JobOnPaper::drainedAmbulance(['content' => Compatibility::OtherFamily])
            ->write('look', 'seen', ['coolant' => 'clean'])
            ->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '2'])
            ->finish('rinse');
        $cycle = fn (int $n) => ["rinse_fill:{$n}", "rinse_run:{$n}", "cool_down:rinse{$n}", "rinse_drain:{$n}"];
        self::assertSame($cycle(1), array_values(array_intersect($job->steps(), $cycle(1))));
        self::assertSame([], array_intersect($job->steps(), $cycle(2)));
        $job->write('rinse_fill:1', 'water_in', ['volume' => 10000.0, 'vessel' => 'pan'])->write(
            'rinse_drain:1',
            'water_out',
            ['volume' => 10000.0, 'vessel' => 'pan', 'runs' => 'clear', 'closed' => true],
        )
            ->finish('rinse_drain:1');
        self::assertSame(
            $cycle(2),
            array_values(array_intersect($job->steps(), $cycle(2))),
            'the second one decided on',
        );
        $job->write('rinse_fill:2', 'water_in', ['volume' => 10000.0, 'vessel' => 'pan'])->write(
            'rinse_drain:2',
            'water_out',
            ['volume' => 10000.0, 'vessel' => 'pan', 'runs' => 'coloured', 'closed' => true],
        );
        self::assertSame('Not clear yet', $job->judge('rinse_drain:2')->title);
        self::assertContains('rinse_fill:3', $job->finish('rinse_drain:2')->steps(), 'until it runs clear');
    }

    public function test_water_boils_before_the_thermostat_opens_under_a_funnel_at_1420_m_and_not_under_the_cap(): void
    {
        $job = JobOnPaper::drainedAmbulance()
            ->write('look', 'seen', ['coolant' => 'rusty'])
            ->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '1'])
            ->finish('rinse')
            ->write('rinse_fill:1', 'water_in', ['volume' => 10900.0, 'vessel' => 'pan']);
        self::assertSame('It boils early here', $job->judge('rinse_run:1')->title);
        self::assertStringContainsString(
            'Never in a closed shop',
            (string) $job->refusal('rinse_run:1', 'start', ['place' => 'closed', 'neck' => 'open']),
        );
        $funnel = (clone $job)->write('rinse_run:1', 'start', ['place' => 'outdoors', 'neck' => 'funnel'])->write(
            'rinse_run:1',
            'reading',
            ['ect' => 88.0, 'far' => 80.0, 'sign' => 'none'],
        );
        self::assertSame('Shut off now', $funnel->judge('rinse_run:1')->title);
        self::assertTrue($funnel->isHard('rinse_run:1'), 'a running engine is never left');
        self::assertNotNull(
            ShutOffNow::of($funnel->at('rinse_run:1'), RinseWarmUp::of($funnel->at('rinse_run:1'))),
            'and stands on every page',
        );
        self::assertNull(
            ShutOffNow::of(
                ($off = (clone $funnel)->write('rinse_run:1', 'shut_off', []))->at('rinse_run:1'),
                RinseWarmUp::of($off->at('rinse_run:1')),
            ),
        );
        $sealed = $job
            ->write('rinse_run:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'])
            ->write('rinse_run:1', 'reading', ['ect' => 95.0, 'far' => 88.0, 'sign' => 'none']);
        self::assertSame('Mixed', $sealed->judge('rinse_run:1')->title);
        self::assertSame([], $sealed->write('rinse_run:1', 'shut_off')->obstacles('rinse_run:1'));
        self::assertStringContainsString(
            'min ago',
            (string) $sealed->refusal('cool_down:rinse1', 'rested', ['since' => 9 * 3600.0]),
            'the rinse ran the engine too',
        );
    }

    public function test_filled_cold_and_drained_counts_for_half_of_a_rinse_give_or_take_as_much(): void
    {
        $after = function (string $way): array {
            $job = JobOnPaper::drainedAmbulance(['content' => Compatibility::OtherFamily])
                ->write('look', 'seen', ['coolant' => 'clean'])
                ->write('rinse', 'decision', ['rinse' => $way, 'times' => '1']);
            $said = $job->judge('rinse');
            $job->finish('rinse')->write('rinse_fill:1', 'water_in', ['volume' => 10000.0, 'vessel' => 'pan'])
                ->write('rinse_drain:1', 'water_out', ['volume' => 10000.0, 'vessel' => 'pan', 'runs' => 'clear']);

            return [$job, $said];
        };
        [$hot] = $after('hot');
        [$cold, $said] = $after('once');
        self::assertSame(
            ['rinse_fill:1', 'rinse_drain:1'],
            array_values(preg_grep('/rinse_|cool_down:rinse/', $cold->steps())),
            'no run, and nothing that cools',
        );
        self::assertStringContainsString('Cold, it mixes about half.', $said->reason);
        [$before, $mixed, $still] = [
            JobOnPaper::drainedAmbulance()->state()->ledger(),
            $hot->state()->ledger(),
            $cold->state()->ledger(),
        ];
        self::assertEqualsWithDelta(($before->oldMl + $mixed->oldMl) / 2.0, $still->oldMl, 1.0);
        self::assertEqualsWithDelta(($before->glycolMl + $mixed->glycolMl) / 2.0, $still->glycolMl, 1.0);
        self::assertGreaterThan(
            $still->fraction() - $mixed->fraction() - 0.001,
            $still->glycolPlusMinus,
            'as if it had mixed is within the range',
        );
        self::assertStringContainsString('it was not run', $cold->judge('rinse_drain:1')->reason);
    }

    public function test_clear_water_is_no_proof_where_more_of_the_old_stays_than_may(): void
    {
        $job = JobOnPaper::on(
            'school-minibus',
            choices: ['content' => Compatibility::OtherFamily, 'drains' => ['radiator_cock'], 'opened' => []],
        )
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 6000.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('look', 'seen', ['coolant' => 'clean', 'next' => 'waste'])
            ->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '1'])->finish('rinse');
        $shares = [];
        for ($cycle = 1; $cycle < 8; $cycle++) {
            $job->write("rinse_fill:{$cycle}", 'water_in', ['volume' => 6000.0, 'vessel' => 'bucket'])->write(
                "rinse_drain:{$cycle}",
                'water_out',
                ['volume' => 6000.0, 'vessel' => 'pan', 'runs' => 'clear'],
            );
            $shares[] = $job->state()->ledger()->oldShare();
            $said = $job->judge("rinse_drain:{$cycle}")->code;
            $job->finish("rinse_drain:{$cycle}");
            if ($said === 'clear') {
                break;
            }
            self::assertSame('old_stays', $said);
        }
        self::assertGreaterThan(2, count($shares), 'one was decided on, and was not enough');
        self::assertGreaterThan(0.075, $shares[count($shares) - 2]);
        self::assertLessThanOrEqual(0.075, end($shares));
        self::assertNotContains('rinse_fill:'.(count($shares) + 1), $job->steps(), 'and no more than it takes');
    }

    public function test_cold_water_that_runs_clear_proves_nothing_where_the_old_must_not_stay(): void
    {
        $flow = fn (Compatibility $content): ?string => JobOnPaper::drainedAmbulance(['content' => $content])
            ->write('look', 'seen', ['coolant' => 'clean'])
            ->write('rinse', 'decision', ['rinse' => 'flow', 'times' => '1'])
            ->finish('rinse')
            ->write('rinse_flow', 'through', ['volume' => 30_000.0, 'runs' => 'clear'])
            ->judge('rinse_flow')?->code;
        self::assertSame('clear', $flow(Compatibility::AsManual));
        self::assertSame('clear_cold', $flow(Compatibility::OtherFamily));
    }

    public function test_what_ran_through_from_a_hose_stands_in_no_drum(): void
    {
        $job = JobOnPaper::drainedAmbulance()->write('look', 'seen', ['coolant' => 'rusty']);
        $drained = WasteSum::caughtMl($job->at('dispose'));
        $job->write('rinse', 'decision', ['rinse' => 'flow', 'times' => '1'])
            ->finish('rinse')
            ->write('rinse_flow', 'through', ['volume' => 30_000.0, 'runs' => 'clear']);
        self::assertSame($drained, WasteSum::caughtMl($job->at('dispose')));
        self::assertNull($job->write('dispose', 'disposed', ['volume' => $drained])->judge('dispose'));
    }

    public function test_water_that_stays_inside_is_said_however_clear_it_runs(): void
    {
        $job = fn (float $out): ?string => JobOnPaper::drainedAmbulance()
            ->write('look', 'seen', ['coolant' => 'rusty'])
            ->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '1'])
            ->finish('rinse')
            ->write('rinse_fill:1', 'water_in', ['volume' => 10000.0, 'vessel' => 'pan'])
            ->write('rinse_drain:1', 'water_out', ['volume' => $out, 'vessel' => 'pan', 'runs' => 'clear'])
            ->judge('rinse_drain:1')?->code;
        self::assertSame(['clear', 'water_stays'], [$job(9900.0), $job(6000.0)]);
        // What never came out at the drain is no water of the rinse.
        $short = JobOnPaper::on('school-minibus', choices: ['drains' => ['radiator_cock'], 'opened' => []])
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 3000.0, 'vessel' => 'pan', 'flow' => 'early'])
            ->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '1'])
            ->finish('rinse')
            ->write('rinse_fill:1', 'water_in', ['volume' => 3000.0, 'vessel' => 'pan'])
            ->write('rinse_drain:1', 'water_out', ['volume' => 2900.0, 'vessel' => 'pan', 'runs' => 'clear']);
        self::assertSame('clear', $short->judge('rinse_drain:1')?->code);
    }

    public function test_a_back_flush_turns_what_stood_in_the_part_into_water(): void
    {
        $job = JobOnPaper::drainedAmbulance()
            ->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '1', 'back_flush' => 'heater'])
            ->finish('rinse');
        $before = $job->state()->ledger();
        $after = $job->write('back_flush', 'ticked', ['heater' => true])->state()->ledger();
        self::assertEqualsWithDelta($before->contentMl, $after->contentMl, 1e-6);
        self::assertLessThan(0.2 * $before->oldMl, $after->oldMl, 'the heater core kept nearly all of it');
    }

    public function test_a_shut_thermostat_leaves_the_radiator_unrinsed_cold(): void
    {
        $job = JobOnPaper::on('compact-loader', choices: ['opened' => []]);
        self::assertStringContainsString(
            'Upper radiator hose',
            implode(' ', JobOnPaper::kind('rinse')->instructions($job->at('rinse'))),
        );
        $flow = $job->write('found', 'found', ['content' => 'full'])
            ->write('rinse', 'decision', ['rinse' => 'flow', 'times' => '1'])
            ->finish('rinse')
            ->write('rinse_flow', 'water_in', ['volume' => 8000.0, 'vessel' => 'pan']);
        self::assertNotSame([], $flow->obstacles('rinse_flow'));
        self::assertSame(
            'Runs clear',
            $flow->write('rinse_flow', 'water_out', ['volume' => 7500.0, 'vessel' => 'pan', 'runs' => 'clear'])
                ->judge('rinse_flow')
                ->title,
        );
    }

    public function test_thirty_litres_from_a_garden_hose_are_taken_as_they_are(): void
    {
        $job = fn (): JobOnPaper => JobOnPaper::drainedAmbulance()
            ->finish('drain:radiator_cock')
            ->finish('drain:left_plug')
            ->finish('drain:right_plug')
            ->write('rinse', 'decision', ['rinse' => 'flow', 'times' => '1'])
            ->finish('rinse');
        $before = $job()->state()->ledger();
        $hose = fn (array $said): JobOnPaper => $job()->write('rinse_flow', 'through', ['runs' => 'clear', ...$said]);
        self::assertNull($job()->refusal('rinse_flow', 'through', ['volume' => 30_000.0, 'runs' => 'clear']));
        self::assertSame([], $hose(['volume' => 30_000.0])->obstacles('rinse_flow'));
        self::assertSame('clear', $hose([])->judge('rinse_flow')?->code);
        $after = $hose(['volume' => 30_000.0])->state()->ledger();
        self::assertEqualsWithDelta($before->contentMl, $after->contentMl, 0.01, 'as much stays inside');
        self::assertEqualsWithDelta(
            ($before->oldMl * $before->contentMl) / ($before->contentMl + 30_000.0),
            $after->oldMl,
            0.5,
            'nearly all of it water',
        );
        self::assertGreaterThan(
            $after->oldMl,
            $hose([])->state()->ledger()->oldMl,
            'nobody says how much: less is counted on',
        );
        self::assertNotSame([], $hose(['runs' => 'coloured'])->obstacles('rinse_flow'));
    }

    /** @return array<string, array{string, string, float}> */
    public static function whatMayStay(): array
    {
        return [
            'other family' => ['family', 'clean', 0.05],
            'gel in the pan' => ['manual', 'gel', 0.01],
            'rust' => ['manual', 'rusty', 0.05],
            'other base' => ['base', 'clean', 0.05],
        ];
    }

    #[DataProvider('whatMayStay')]
    public function test_how_much_of_the_old_may_stay(string $content, string $seen, float $share): void
    {
        $job = JobOnPaper::drainedAmbulance(['content' => Compatibility::from($content)])
            ->write('look', 'seen', ['coolant' => $seen]);
        self::assertEqualsWithDelta($share, JobOnPaper::kind('rinse')->figure($job->at('rinse'))->datum, 1e-9);
        self::assertSame(Tone::Wait, $job->judge('rinse')->tone);
    }

    public function test_dirty_coolant_asks_for_a_rinse_and_skipping_it_for_a_reason(): void
    {
        foreach ([
            'clean' => Tone::Pass, 'rusty' => Tone::Wait, 'oily' => Tone::Stop, 'gel' => Tone::Stop,
        ] as $seen => $tone) {
            $job = JobOnPaper::on('rescue-ambulance')
                ->write('found', 'found', ['content' => 'full'])
                ->write('drain:radiator_cock', 'out', ['volume' => 10300.0, 'vessel' => 'pan', 'flow' => 'ran'])
                ->write('look', 'seen', ['coolant' => $seen])->write('rinse', 'decision', ['rinse' => 'skip']);
            self::assertSame($tone, $job->judge('look')->tone);
            self::assertCount($seen === 'clean' ? 0 : 1, $job->obstacles('rinse'));
        }
        // Plain water boils at 95.2 °C at 1,420 m (ASHRAE standard atmosphere, IAPWS-IF97).
        self::assertStringContainsString(
            'boils at 95 °C',
            implode(' ', JobOnPaper::kind('rinse')->instructions(JobOnPaper::on('rescue-ambulance')->at('rinse'))),
        );
    }
}
