<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\Vacuum\NextJug;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What a step refuses outright, what it offers only when it may be, and how much each of its lines is worth. */
final class GuardsTest extends TestCase
{
    /** A run under its cap that nobody has read cold since. */
    private static function ranSealed(string $school, string $circuit = 'rescue-ambulance'): JobOnPaper
    {
        return JobOnPaper::on($circuit, school: $school)
            ->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'], 900)
            ->write('heat_cycle:1', 'reading', ['ect' => 97.0, 'far' => 90.0, 'sign' => 'none', 'bubbles' => 'hidden'])
            ->write('heat_cycle:1', 'shut_off');
    }

    public function test_no_bolt_is_cracked_on_a_circuit_that_may_be_under_pressure(): void
    {
        $vented = ['came' => 'coolant', 'caught' => 0.0];
        $job = self::ranSealed('vent_bolt');
        self::assertStringContainsString('sprays', (string) $job->refusal('vent_between:1', 'vented', $vented));
        $job->wait(30_000)->write('cool_down:1', 'reading', ['ect' => 24.0, 'air' => 16.0]);
        self::assertNull($job->refusal('vent_between:1', 'vented', $vented), 'read cold');
    }

    public function test_nothing_is_pumped_onto_a_circuit_that_may_be_warm(): void
    {
        $pumped = ['kpa' => 40.0];
        self::assertNull(JobOnPaper::on('taxi-engine', school: 'pressure')
            ->refusal('vent_under_pressure', 'pumped', $pumped), 'it has not run yet');
        $job = self::ranSealed('pressure', 'taxi-engine');
        self::assertStringContainsString(
            'Never pump on a warm circuit',
            (string) $job->refusal('vent_under_pressure', 'pumped', $pumped),
        );
    }

    public function test_a_tester_is_read_half_a_kilopascal_above_what_may_be_pumped(): void
    {
        $job = JobOnPaper::on('taxi-engine', school: 'pressure');
        $most = $job->at('vent_under_pressure')->facts()->mostToVentKpa();
        $refused = fn (float $kpa): ?string => $job->refusal('vent_under_pressure', 'pumped', ['kpa' => $kpa]);
        self::assertNull($refused($most + 0.48));
        self::assertStringContainsString('pump no higher', (string) $refused($most + 0.52));
    }

    /** Fifty minutes is the least that this engine takes to be cold enough of itself. */
    public function test_cold_is_offered_in_one_press_once_it_has_stood_that_long(): void
    {
        $atOnce = fn (int $wait): ?Form => JobOnPaper::kind('cool_down')
            ->atOnce(self::ranSealed('gravity')->wait($wait)->at('cool_down:1'));
        self::assertNull($atOnce(3_600));
        self::assertSame('reading', $atOnce(60 * 3_600)?->name);
    }

    public function test_what_was_mixed_and_is_nowhere_is_said(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'full'])
            ->write('mix', 'batch', ['concentrate' => 1_000.0, 'water' => 1_000.0]);
        $refused = fn (float $kept, string $rest = ''): bool => $job->refusal(
            'left_over',
            'kept',
            ['volume' => $kept, 'rest' => $rest],
        ) !== null;
        $unseen = max(300.0, $job->state()->ledger()->plusMinusMl);
        self::assertTrue($refused(2_000.0 - $unseen - 10.0));
        self::assertFalse($refused(2_000.0 - $unseen + 10.0));
        self::assertFalse($refused(0.0, 'into the next vehicle'));
    }

    /** @return array<string, array{float, bool}> left of two litres, mL; whether “nothing is left” is offered */
    public static function rests(): array
    {
        return ['hangs on bucket and hose' => [295.0, true], 'more than that' => [305.0, false]];
    }

    #[DataProvider('rests')]
    public function test_nothing_is_left_where_no_more_is_left_than_hangs_on_things(float $ml, bool $offered): void
    {
        $job = JobOnPaper::on('yard-tractor')->write('mix', 'batch', ['concentrate' => $ml / 2, 'water' => $ml / 2]);
        self::assertLessThan(290.0, $job->state()->ledger()->plusMinusMl);
        $forms = array_map(
            fn (Form $form) => $form->name,
            JobOnPaper::kind('left_over')->forms($job->at('left_over')),
        );
        self::assertSame($offered, in_array('none', $forms, true), implode(', ', $forms));
    }

    public function test_a_funnel_holds_what_stood_in_it_and_fifty_millilitres_of_doubt(): void
    {
        $job = JobOnPaper::on('school-minibus', school: 'funnel')
            ->write('fill_level', 'at_mark', ['volume' => 6_000.0, 'vessel' => 'jug', 'left' => 800.0]);
        $refused = fn (float $ml): bool => $job->refusal('funnel_off', 'off', ['volume' => $ml]) !== null;
        self::assertFalse($refused(848.0));
        self::assertTrue($refused(852.0));
        $job->write('funnel_off', 'off', ['volume' => 500.0, 'vessel' => 'jug', 'goes' => 'container']);
        [$drawn] = array_slice($job->state()->ledger()->lines, -1);
        self::assertSame(300.0, $drawn->ml);
        self::assertSame(50.0, $drawn->plusMinusMl);
    }

    public function test_what_sprays_out_at_a_bolt_is_known_to_a_third(): void
    {
        $line = fn (float $caught): array => JobOnPaper::kind('vent_between')->ledger(
            JobOnPaper::on('rescue-ambulance', school: 'vent_bolt')->at('vent_between:1'),
            new Entry(1, 1_000_000, 'Imre Tovald', 'vent_between:1', 'vented', new \Aqbel\Core\Values([
                'came' => 'coolant', 'caught' => $caught,
            ])),
        );
        self::assertSame([], $line(0.0));
        self::assertSame([-100.0, 30.0], [$line(100.0)[0]->ml, $line(100.0)[0]->plusMinusMl]);
    }

    /** Three kelvins a minute, and three more that two readings may differ by. */
    public function test_a_warm_vent_believes_no_faster_cooling(): void
    {
        $refused = fn (float $celsius): bool => self::ranSealed('vent_bolt')->wait(540)->refusal(
            'cool_down:1',
            'vented_warm',
            ['manual' => true, 'ect' => $celsius, 'came' => 'coolant', 'point' => 'bleed_housing'],
        ) !== null;
        // 97 °C was read eleven minutes before: 97 − 3 · (1 + 11).
        self::assertFalse($refused(61.5));
        self::assertTrue($refused(60.5));
    }

    /** @return array<string, array{NextJug, bool, float, float}> jug; whether it can still land on its target; mL of each */
    public static function jugs(): array
    {
        $jug = fn (float $inside, float $share, float $comes): NextJug => new NextJug(
            $inside, $share, $comes, 500.0, 0.5, [$comes, $comes],
        );

        return [
            'half and half' => [$jug(5_000.0, 0.5, 2_000.0), true, 1_000.0, 1_000.0],
            'all of it concentrate, and hardly short' => [$jug(8_000.0, 0.4010, 2_000.0), true, 1_792.0, 208.0],
            'within a refractometer of it' => [$jug(8_000.0, 0.3520, 2_000.0), true, 2_000.0, 0.0],
            'short of that' => [$jug(8_000.0, 0.3490, 2_000.0), false, 2_000.0, 0.0],
        ];
    }

    #[DataProvider('jugs')]
    public function test_the_next_jug_is_what_lands_on_the_target(NextJug $jug, bool $can, float $stock, float $water): void
    {
        self::assertSame($can, $jug->isReachable());
        self::assertEqualsWithDelta($stock, $jug->stockMl(), 0.5);
        self::assertEqualsWithDelta($water, $jug->waterMl(), 0.5);
    }

    public function test_a_full_circuit_off_its_target_is_topped_up_where_there_is_room_for_it(): void
    {
        $at = JobOnPaper::on('rescue-ambulance')->at('mix');
        $said = fn (float $share, float $room): string => (new NextJug(
            10_000.0, $share, 0.0, $room, 0.5, [0.0, 0.0],
        ))->missed($at);
        // 400 mL of glycol short: 800 mL of concentrate brings it.
        self::assertStringContainsString('Top up with 0.80 L of concentrate', $said(0.46, 810.0));
        self::assertStringContainsString('draw off', $said(0.46, 790.0));
        self::assertStringContainsString('Top up with 0.80 L of water', $said(0.54, 810.0));
    }
}
