<?php

declare(strict_types=1);

namespace Tests\Journeys;

use App\Calc\Input;
use App\Practice\Answers;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Script;
use Aqbel\Core\Writing\ScriptLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** In a world where every run shows the same: what no run changes is looked for, and nobody runs it for ever. */
final class NoEndlessRunTest extends TestCase
{
    private const CIRCUITS = [
        'rescue-ambulance' => 'gravity',
        'school-minibus' => 'funnel',
        'piste-groomer' => 'open_neck',
    ];

    private const OUTLETS = ['outlet_front', 'outlet_rear', 'outlet_cab'];

    /** @return iterable<string, array{string, string, string, array<string, string>, ?string}> what is shown, and where to look; null for a danger */
    public static function worlds(): iterable
    {
        $worlds = [
            'bubbles that never end' => ['heat_cycle', ['bubbles' => 'some'], 'combustion gas'],
            'an outlet that stays warm' => ['heat_cycle', array_fill_keys(self::OUTLETS, '48'), 'valve or flap'],
            'a far side that stays behind' => ['heat_cycle', ['far' => '72'], 'which way round'],
            'a thermostat that stands open' => ['heat_cycle', ['ect' => '71', 'far' => '69'], 'stands open'],
            'steam' => ['heat_cycle', ['sign' => 'steam'], null],
            'an alarm on the drive' => ['drive', ['alarm' => 'hot'], null],
        ];
        foreach (self::CIRCUITS as $circuit => $school) {
            foreach ($worlds as $what => [$kind, $shows, $look]) {
                yield "{$circuit}: {$what}" => [$circuit, $school, $kind, $shows, $look];
            }
        }
    }

    /** @param  array<string, string>  $shows */
    #[DataProvider('worlds')]
    public function test_what_every_run_shows_again_is_looked_for(
        string $circuit,
        string $school,
        string $kind,
        array $shows,
        ?string $look,
    ): void {
        $kinds = StepCatalogue::standard();
        $of = Demo::circuit($circuit);
        $planner = new Planner($kinds, SchoolCatalogue::standard());
        $tools = ['choices' => ['school' => $school, 'tools' => ['refractometer', 'funnel', 'pressure_tester']]];
        $script = new Script(
            new JobState($of, $planner->plan($of, (new Input($tools))->choices($of)), $kinds),
            $kinds,
        );
        [$now, $runs, $stood, $said] = [1_000_000, 0, null, ''];
        $inHand = fn (): ?Step => $script->state()->stepInHand();
        while (($step = $inHand()) !== null && $stood === null) {
            $at = $script->state()->at($step, $now += $step->kind === 'cool_down' ? 36_000 : 900);
            $runs += (int) ($step->kind === $kind);
            $said .= $step->kind === 'why_unshown' ? implode(' ', $kinds->of($step)->instructions($at)) : '';
            $answers = self::answers($step, $kind, Answers::to($kinds->of($step), $at), $shows);
            foreach ($answers as [$form, $values, $minutes]) {
                $script->write(new ScriptLine(0, $now, 'Imre Tovald', $step->id, $form, $values));
                $now += (int) round(60 * $minutes);
            }
            $script->write(new ScriptLine(0, $now += 60, 'Imre Tovald', $step->id, 'finish'));
            $stood = $inHand()?->id === $step->id ? $step : null;
            self::assertLessThan(5, $runs, 'it is run for ever');
        }
        $codes = array_map(
            fn (Step $step) => $script->state()->verdictOf($step, $now)?->code,
            array_values(array_filter($script->state()->steps, fn (Step $one) => str_starts_with($one->kind, 'why_'))),
        );
        self::assertStringContainsString($look ?? '', $said);
        $look !== null
            ? self::assertSame([null, ['not_found']], [$stood?->id, $codes])
            : self::assertSame(['why_stopped', ['not_found', 'not_found_twice']], [$stood?->kind, $codes]);
    }

    /**
     * @param  list<array{string, array<string, string>, float}>  $answers
     * @param  array<string, string>  $shows
     * @return list<array{string, array<string, string>, float}>
     */
    private static function answers(Step $step, string $kind, array $answers, array $shows): array
    {
        if (str_starts_with($step->kind, 'why_')) {
            return [['cause', ['cause' => 'not_found', 'how' => 'Looked at all of it'], 5.0]];
        }
        $shown = fn (array $values): array => array_intersect_key($shows, $values + ['sign' => '']) + $values;

        return array_map(
            fn (array $answer) => $step->kind === $kind && in_array($answer[0], ['reading', 'driven'], true)
                ? [$answer[0], $shown($answer[1]), $answer[2]]
                : $answer,
            $answers,
        );
    }
}
