<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Values;
use Aqbel\Core\Writing\Believable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** Amounts, mixtures and readings tried on both sides of their edge. */
final class AmountEdgesTest extends TestCase
{
    public function test_a_capacity_is_good_to_two_per_cent_and_next_to_nothing_is_nothing(): void
    {
        self::assertEqualsWithDelta(200.0, (new Ledger(10_000, 0, []))->trappedAirPlusMinusMl(), 1e-9);
        $with = fn (float $ml) => (new Ledger(10_000, 0, [new Line('found', $ml, 0, 0.5)]))->fraction();
        self::assertNull($with(1.0));
        self::assertSame(0.5, $with(1.05));
        self::assertNull($with(0.95));
    }

    public function test_what_is_found_and_what_is_missing_are_estimates(): void
    {
        $off = fn (array $found): float => JobOnPaper::on('post-van')->write('found', 'found', $found)
            ->state()
            ->ledger()
            ->plusMinusMl;
        $job = JobOnPaper::on('post-van');
        $full = $job->state()->circuit->capacityMl() - $job->plan()->headspaceMl();
        self::assertEqualsWithDelta(0.03 * $full, $off(['content' => 'full']), 1e-6);
        self::assertEqualsWithDelta(0.03 * $full + 0.25 * 1000, $off(['content' => 'low', 'missing' => 1000.0]), 1e-6);
    }

    public function test_a_drain_short_or_long_of_its_prediction(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full']);
        $predicted = (float) $job->state()->steps['drain:radiator_cock']->params->number('predicted_ml');
        // A pan of 0.5 L marks, nine litres in one reading: off by 282.9 mL.
        $said = fn (float $ml): string => (clone $job)
            ->write('drain:radiator_cock', 'out', ['volume' => $ml, 'vessel' => 'pan', 'flow' => 'ran'])
            ->judge('drain:radiator_cock')->code;
        self::assertSame('short', $said(0.7 * $predicted - 290));
        self::assertSame('drained', $said(0.7 * $predicted - 275));
        self::assertSame('drained', $said(1.2 * $predicted));
        $plug = fn (float $ml): string => (clone $job)
            ->write('drain:radiator_cock', 'out', ['volume' => $predicted, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => $ml, 'vessel' => 'syringe', 'flow' => 'ran'])
            ->judge('drain:left_plug')->code;
        $ofThePlug = (float) $job->state()->steps['drain:left_plug']->params->number('predicted_ml');
        self::assertSame('drained', $plug(1.3 * $ofThePlug + 5));
        self::assertSame('more_than_predicted', $plug(1.3 * $ofThePlug + 25));
    }

    /** @return array<string, array{float, ?string}> freeze point of a strength, what stands in the way */
    public static function strengths(): array
    {
        return [
            'short' => [0.468, 'frost'],
            'just within' => [0.472, null],
            'planned' => [0.5, null],
            'strong enough' => [0.59, null],
        ];
    }

    #[DataProvider('strengths')]
    public function test_frost_is_a_gate_beyond_what_a_refractometer_reads(float $strength, ?string $code): void
    {
        $freeze = (new Mixture(Glycol::Ethylene, $strength))->freezePoint()->degC();
        $job = JobOnPaper::on('rescue-ambulance')->write('refractometer', 'freeze', ['freeze' => $freeze]);
        $at = $job->at('refractometer');
        $open = JobOnPaper::kind('refractometer')->open($at);
        self::assertSame($code, $open === [] ? null : $open[0]->code);
        self::assertSame($code === null ? [] : [true], array_map(fn ($obstacle) => $obstacle->gate !== null, $open));
        self::assertSame(
            $strength < 0.47 || $strength > 0.53 ? 'off_plan' : 'as_planned',
            $job->judge('refractometer')->code,
        );
    }

    public function test_without_a_refractometer_the_ledgers_sum_is_the_gate(): void
    {
        $signs = fn (float $fraction, float $ml = 11_000.0): array => array_column(array_map(
            fn ($obstacle) => [$obstacle->code, $obstacle->text],
            JobOnPaper::kind('sign_off')->open(JobOnPaper::on('rescue-ambulance')
                ->write('mix', 'batch', ['concentrate' => 12_000 * $fraction, 'water' => 12_000 * (1 - $fraction)])
                ->write('fill_level', 'poured', ['volume' => $ml, 'vessel' => 'syringe'])
                ->at('sign_off')),
        ), 1, 0);
        self::assertArrayHasKey('frost', $signs(0.45));
        self::assertStringContainsString('Draw off', $signs(0.3)['frost']);
        self::assertStringContainsString('early. Pour', $signs(0.46, 9_000.0)['frost'], 'there is room for it');
        // So far off it was on target when it was mixed.
        self::assertArrayNotHasKey('frost', $signs(0.475));
        self::assertArrayNotHasKey('frost', $signs(0.5));
        self::assertArrayNotHasKey('too_strong', $signs(0.6));
        self::assertArrayHasKey('too_strong', $signs(0.61));
    }

    /** @return array<string, array{string, ?string}> typed °F in 61 °F air; the field refused */
    public static function fahrenheit(): array
    {
        return [
            'below what is asked' => ['79', null],
            'from' => ['80', 'ect'],
            'to' => ['125', 'ect'],
            'above' => ['126', null],
        ];
    }

    #[DataProvider('fahrenheit')]
    public function test_a_bare_number_that_is_hot_in_the_other_system_is_asked_for_its_unit(
        string $typed,
        ?string $field,
    ): void {
        self::assertSame($field, $this->refused($typed, '61'));
    }

    public function test_a_bare_number_near_the_air_is_a_cold_engine(): void
    {
        // 8 °C above the air are 14.4 °F.
        self::assertNull($this->refused('95', '80.7'));
        self::assertSame('ect', $this->refused('95', '80.5'));
    }

    public function test_a_scan_tool_without_a_sensor(): void
    {
        self::assertSame('ect', $this->refused('-39.5 °C', '-40 °C'));
        self::assertNull($this->refused('-39.4 °C', '-40 °C'));
    }

    public function test_the_same_batch_is_poured_within_the_marks_of_its_vessels(): void
    {
        $said = fn (float $batch, float $poured): ?string => JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'empty'])
            ->write('mix', 'batch', ['concentrate' => $batch / 2, 'water' => $batch / 2])
            ->write('fill_level', 'poured', ['volume' => $poured, 'vessel' => 'jug'])
            ->judge('fill_level')?->code;
        self::assertNull($said(10_000, 10_500));
        self::assertSame('more_poured_than_mixed', $said(10_000, 10_501));
        self::assertNull($said(2_000, 2_200));
        self::assertSame('more_poured_than_mixed', $said(2_000, 2_201));
    }

    public function test_the_bucket_is_on_target_within_three_per_cent_of_the_circuit(): void
    {
        $said = fn (float $final): string => JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'empty'])
            ->write('mix', 'batch', ['concentrate' => 10_000 * $final, 'water' => 10_000 * (1 - $final)])
            ->judge('mix')->code;
        self::assertSame('on_target', $said(0.529));
        self::assertSame('off_target', $said(0.531));
        self::assertSame('off_target', $said(0.614));
        self::assertSame('too_strong', $said(0.616));
    }

    public function test_a_top_up_corrects_the_mixture_from_two_per_cent_on(): void
    {
        $advice = fn (float $now): string => JobOnPaper::kind('cold_level')->form(
            JobOnPaper::on('rescue-ambulance')
                ->write('found', 'found', ['content' => 'empty'])
                ->write('mix', 'batch', ['concentrate' => 10_000 * $now, 'water' => 10_000 * (1 - $now)])
                ->write('fill_level', 'poured', ['volume' => 10_000.0, 'vessel' => 'jug'])
                ->at('cold_level:1'),
            'topped',
        )->fields[3]->help;
        self::assertSame('', $advice(0.519));
        self::assertStringContainsString('water', $advice(0.5215));
        self::assertStringContainsString('concentrate', $advice(0.4785));
        self::assertSame('', $advice(0.481));
    }

    public function test_caught_and_rags_are_guesses(): void
    {
        $off = fn (float $spilt): float => JobOnPaper::on('rescue-ambulance')
            ->write('fill_level', 'returned', ['caught' => 100.0, 'left' => 0.0, 'spilt' => $spilt])
            ->state()
            ->ledger()
            ->plusMinusMl;
        self::assertEqualsWithDelta(50.0, $off(0.0), 1e-9);
        self::assertEqualsWithDelta(hypot(50.0, 200.0), $off(400.0), 1e-9);
    }

    public function test_a_mix_of_nothing_but_water_reaches_nothing(): void
    {
        $mix = fn (float $stock) => new Mix(Volume::litres(10), Volume::litres(2), 0.0, 0.5, $stock);
        self::assertTrue($mix(1.0)->reachable());
        self::assertFalse($mix(0.0)->reachable());
        self::assertFalse($mix(0.5)->reachable());
    }

    private function refused(string $coolant, string $air): ?string
    {
        $at = JobOnPaper::on('rescue-ambulance')->at('cold_check');
        $at = $at->job->at($at->step, $at->now, UnitSystem::UsCustomary);
        $form = JobOnPaper::kind('cool_down')->form($at, 'reading');
        $filled = $form->read(['ect' => $coolant, 'air' => $air], UnitSystem::UsCustomary);
        self::assertInstanceOf(Values::class, (new Filled($filled->values))->values);
        try {
            Believable::check($at, $form->fields, $filled, false);
        } catch (InvalidField $refused) {
            return $refused->field;
        }

        return null;
    }
}
