<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Steps\Cool\ColdLevel;

/** From circuit, school, place and house rules to the whole sequence with the numbers it rests on. */
final readonly class Planner
{
    private function __construct(private Circuit $circuit, private Choices $input)
    {
    }

    public static function plan(Circuit $circuit, Choices $input): Plan
    {
        return self::schools($circuit, $input)[$input->school] ?? throw new InvalidField('school', $input->jobKind === Choices::BLEED
            ? 'A vacuum fill needs the circuit drained. For bleeding only choose gravity, or plan a repair with its drains.'
            : 'A vacuum fill needs the vacuum filler at hand. Tick it under tools, or choose gravity.');
    }

    /**
     * The same job by every school, from one simulation.
     *
     * @return array<string, Plan> by school
     */
    public static function schools(Circuit $circuit, Choices $input): array
    {
        $predicted = Prediction::of($circuit, $input);
        $plans = [];
        $vacuum = $input->has('vacuum_filler') && $input->jobKind !== Choices::BLEED;
        foreach ($vacuum ? [Choices::GRAVITY, Choices::VACUUM] : [Choices::GRAVITY] as $school) {
            $planner = new self($circuit, $input->with($school));
            $own = $planner->forSchool($predicted);
            $plans[$school] = new Plan($planner->input, $planner->steps($own), $own);
        }

        return $plans;
    }

    /**
     * @param  array<string, mixed>  $predicted
     * @return array<string, mixed>
     */
    private function forSchool(array $predicted): array
    {
        $air = $this->input->school === Choices::VACUUM ? $predicted['vacuum']['top_up_ml'] : $predicted['fill']['air_ml'];
        $predicted['fill']['air_ml'] = $air;
        $predicted['fill']['accepted_ml'] = max(0.0, $predicted['capacity_ml'] - $predicted['headspace_ml'] - $air);

        return $predicted;
    }

    /**
     * @param  array<string, mixed>  $predicted
     * @return list<Step>
     */
    private function steps(array $predicted): array
    {
        $input = $this->input;
        $materials = new Materials($this->circuit, $input);
        $fill = $input->school === Choices::VACUUM ? $this->vacuumSteps($predicted) : $this->gravitySteps($predicted);
        $round = ColdLevel::round(1);
        $drained = $input->drains !== [];

        return self::gated(array_values(array_filter([
            new Step('found', 'found', Stage::Plan),
            $input->jobKind === Choices::LOST ? null : new Step('baseline', 'baseline', Stage::Plan),
            new Step('gather', 'gather', Stage::Plan),
            new Step('make_safe', 'make_safe', Stage::MakeSafe),
            new Step('cold_check', 'cool_down', Stage::MakeSafe),
            new Step('inspect', 'inspect', Stage::MakeSafe),
            $input->leakFirst() ? new Step('find_drip', 'find_drip', Stage::MakeSafe) : null,
            ...$this->drainSteps($predicted),
            $drained ? new Step('reconcile:1', 'reconcile', Stage::Drain) : null,
            $drained ? new Step('look', 'look', Stage::Drain) : null,
            $drained && $input->compatibility()->needsJarTest() ? new Step('jar_test', 'jar_test', Stage::Drain) : null,
            $drained ? new Step('rinse', 'rinse', Stage::Rinse, ['rinses' => $predicted['rinses']]) : null,
            $input->cureMinutes > 0.0 ? new Step('cure', 'cure', Stage::CloseUp, ['minutes' => $input->cureMinutes]) : null,
            new Step('close_up', 'close_up', Stage::CloseUp),
            new Step('mix', 'mix', Stage::Mix),
            ...$fill,
            self::refit('refit:start', Stage::RunHot, $materials->toRefitBeforeStart()),
            ...$round,
            new Step('leak_check', 'leak_check', Stage::Prove),
            self::refit('refit:end', Stage::Prove, $materials->toRefitAtTheEnd()),
            new Step('drive', 'drive', Stage::Prove),
            new Step('cool_down:drive', 'cool_down', Stage::Prove),
            new Step('cold_level:drive', 'cold_level', Stage::Prove),
            $input->has('refractometer') ? new Step('refractometer', 'refractometer', Stage::Prove) : null,
            $input->complaint === 'none' ? null : new Step('complaint', 'complaint', Stage::Prove),
            new Step('follow_up', 'follow_up', Stage::Prove),
            new Step('left_over', 'left_over', Stage::HandOver),
            new Step('dispose', 'dispose', Stage::HandOver),
            new Step('sign_off', 'sign_off', Stage::HandOver),
        ])));
    }

    /** @param  array<string, string>  $items */
    private static function refit(string $id, Stage $stage, array $items): ?Step
    {
        return $items === [] ? null : new Step($id, 'refit', $stage, ['items' => $items]);
    }

    /**
     * With a cure running, nothing pulls or presses before it is over.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private static function gated(array $steps): array
    {
        $kinds = array_column(array_map(fn (Step $s) => ['id' => $s->id, 'kind' => $s->kind], $steps), 'kind', 'id');
        if (! in_array('cure', $kinds, true)) {
            return $steps;
        }
        foreach ($steps as $i => $step) {
            if ($step->stage->value >= Stage::Fill->value && in_array($step->kind, ['pull', 'pressure_test', 'heat_cycle'], true)) {
                array_splice($steps, $i, 0, [new Step('cured', 'cured', $step->stage)]);

                return $steps;
            }
        }

        return $steps;
    }

    /**
     * @param  array<string, mixed>  $predicted
     * @return list<Step>
     */
    private function drainSteps(array $predicted): array
    {
        $steps = [];
        foreach ($predicted['drains'] as $i => ['port' => $port, 'volume_ml' => $volume]) {
            $steps[] = new Step("drain:{$port}", 'drain', Stage::Drain, ['port' => $port, 'predicted_ml' => $volume, 'first' => $i === 0, 'empties' => array_keys(array_filter(array_slice($predicted['lets_out'][$port] ?? [], 0, 3), fn (float $ml) => $ml > 100.0))]);
        }

        return $steps;
    }

    /**
     * @param  array<string, mixed>  $predicted
     * @return list<Step|null>
     */
    private function gravitySteps(array $predicted): array
    {
        $bleeds = [];
        foreach ($predicted['fill']['flows'] as $flow) {
            $bleeds[] = new Step("bleed:{$flow['port']}", 'bleed', Stage::Fill, ['port' => $flow['port'], 'at_ml' => max(0.0, $flow['at_ml'] - $predicted['retained_ml'])]);
        }
        foreach ($predicted['fill']['missing_mm'] as $port => $missing) {
            $bleeds[] = new Step("bleed:{$port}", 'bleed', Stage::Fill, ['port' => $port, 'missing_mm' => $missing]);
        }
        $ports = array_map(fn (Step $s) => $s->params['port'], $bleeds);

        return [
            new Step('open_bleeds', 'open_bleeds', Stage::Fill, ['ports' => $ports]),
            ...$bleeds,
            new Step('fill_level', 'fill_level', Stage::Fill),
            $this->input->has('pressure_tester') ? new Step('pressure_test', 'pressure_test', Stage::Vacuum) : null,
        ];
    }

    /**
     * @param  array<string, mixed>  $predicted
     * @return list<Step>
     */
    private function vacuumSteps(array $predicted): array
    {
        $vacuum = $predicted['vacuum'];

        return [
            new Step('set_up_vacuum', 'set_up_vacuum', Stage::Fill, ['intake_ml' => $vacuum['intake_ml'], 'max_temp_c' => $vacuum['max_temp_c']]),
            new Step('pull:1', 'pull', Stage::Vacuum, ['target_kpa' => $vacuum['target_kpa']]),
            new Step('hold:1', 'hold', Stage::Vacuum),
            new Step('vacuum_fill', 'vacuum_fill', Stage::Vacuum),
            new Step('fill_level', 'fill_level', Stage::Vacuum),
        ];
    }
}
