<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Coolant\Mix;
use Aqbel\Core\Hydrostatics\Drainage;
use Aqbel\Core\Hydrostatics\Filling;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Sequence\Steps\ColdLevel;
use Aqbel\Core\Vacuum\VacuumPlan;

/** From circuit, school, place and house rules to the whole sequence with the numbers it rests on. */
final readonly class Planner
{
    private const SHOP_C = 20.0;

    private function __construct(private Circuit $circuit, private PlanInput $input)
    {
    }

    public static function plan(Circuit $circuit, PlanInput $input): Plan
    {
        return self::schools($circuit, $input)[$input->school] ?? throw new InvalidField('school', 'A vacuum fill needs the vacuum filler at hand. Tick it under tools, or choose gravity.');
    }

    /**
     * The same job by every school, from one simulation.
     *
     * @return array<string, Plan> by school
     */
    public static function schools(Circuit $circuit, PlanInput $input): array
    {
        $predicted = (new self($circuit, $input))->predict();
        $plans = [];
        foreach ($input->has('vacuum_filler') ? [PlanInput::GRAVITY, PlanInput::VACUUM] : [PlanInput::GRAVITY] as $school) {
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
        $air = $this->input->school === PlanInput::VACUUM ? $predicted['vacuum']['top_up_ml'] : $predicted['fill']['air_ml'];
        $predicted['fill']['air_ml'] = $air;
        $predicted['fill']['accepted_ml'] = max(0.0, $predicted['capacity_ml'] - $predicted['headspace_ml'] - $air);

        return $predicted;
    }

    /** @return array<string, mixed> drains, retained, fill, vacuum and coolant needed, with labels for people */
    private function predict(): array
    {
        $circuit = $this->circuit;
        $gates = Filling::usualGates($circuit);
        $lift = $this->input->noseLiftMm;
        $drainage = Drainage::of($circuit, $this->input->drains, $gates, $lift, array_map(fn ($p) => $p->id, $circuit->portsOf('bleed')));
        $neck = $circuit->fillPort()->id;
        $bleeds = $this->input->bleedsOf($circuit);
        $barometer = $this->input->atmosphere()->pressure->kPa();
        $brim = Filling::of($circuit, $neck, $bleeds, $gates, $lift, $this->input->headMm, $barometer);
        $cold = Filling::of($circuit, $neck, $bleeds, $gates, 0.0, $circuit->facts->coldHeadMm, $barometer);
        $headspace = $cold->headspaceMl;
        $usable = $circuit->capacityMl() - $headspace;
        $void = max(1.0, $usable - $drainage->retainedMl);
        $vacuum = $this->vacuum($void + $headspace, $headspace);
        $mix = new Mix(Volume::millilitres($usable), Volume::millilitres($drainage->retainedMl), $circuit->facts->targetFraction, $this->input->targetFraction);

        return [
            'capacity_ml' => $circuit->capacityMl(),
            'headspace_ml' => $headspace,
            'drains' => $drainage->drains,
            'empties' => $this->emptiedBy($drainage),
            'retained_ml' => $drainage->retainedMl,
            'retained' => $this->labelled($drainage->retained),
            'drain_runs' => $drainage->runs,
            'full_runs' => self::withoutTrappedAir($cold->runs),
            'fill' => [
                'air_ml' => $brim->airMl,
                'flows' => $brim->flows,
                'missing_mm' => $this->missing($brim),
                'pockets' => array_map(fn (array $p) => [...$p, 'label' => implode(', ', array_keys($this->labelled($p['passages'])))], $brim->pockets),
                'runs' => $brim->runs,
            ],
            'vacuum' => [
                'target_kpa' => $vacuum->target->kPa(), 'max_temp_c' => $vacuum->maximumTemperature()->degC(), 'attainable' => $vacuum->attainable(),
                'intake_ml' => $vacuum->intake()->mL(), 'top_up_ml' => $vacuum->topUp()->mL(),
            ],
            'needed_ml' => $void,
            'concentrate_ml' => $mix->glycol->mL(),
            'water_ml' => $mix->water()->mL(),
        ];
    }

    private function vacuum(float $voidMl, float $headspaceMl): VacuumPlan
    {
        return new VacuumPlan($this->input->atmosphere(), Pressure::inchesOfMercury($this->input->rules->seaLevelVacuumInHg),
            Volume::millilitres($voidMl), Volume::millilitres($headspaceMl), Temperature::celsius(self::SHOP_C), $this->circuit->facts->coolant());
    }

    /**
     * @param  array<string, mixed>  $predicted
     * @return list<Step>
     */
    private function steps(array $predicted): array
    {
        $fill = $this->input->school === PlanInput::VACUUM ? $this->vacuumSteps($predicted) : $this->gravitySteps($predicted);

        return array_values(array_filter([
            new Step('found', 'found', Stage::Plan),
            new Step('baseline', 'baseline', Stage::Plan),
            new Step('gather', 'gather', Stage::Plan, ['items' => $this->toGather($predicted)]),
            new Step('make_safe', 'make_safe', Stage::MakeSafe),
            new Step('cold_check', 'cool_down', Stage::MakeSafe),
            new Step('inspect', 'inspect', Stage::MakeSafe),
            ...$this->drainSteps($predicted),
            new Step('look', 'look', Stage::Drain),
            new Step('rinse', 'rinse', Stage::Rinse),
            $this->input->cureMinutes > 0.0 ? new Step('cure', 'cure', Stage::CloseUp, ['minutes' => $this->input->cureMinutes]) : null,
            new Step('close_up', 'close_up', Stage::CloseUp, ['items' => $this->toCloseUp()]),
            new Step('mix', 'mix', Stage::Mix),
            ...$fill,
            ...ColdLevel::round(1),
            new Step('leak_check', 'leak_check', Stage::Prove),
            new Step('drive', 'drive', Stage::Prove),
            new Step('cool_down:drive', 'cool_down', Stage::Prove),
            new Step('cold_level:drive', 'cold_level', Stage::Prove),
            $this->input->has('refractometer') ? new Step('refractometer', 'refractometer', Stage::Prove) : null,
            new Step('follow_up', 'follow_up', Stage::Prove),
            new Step('dispose', 'dispose', Stage::HandOver),
            new Step('sign_off', 'sign_off', Stage::HandOver),
        ]));
    }

    /**
     * @param  array<string, mixed>  $predicted
     * @return list<Step>
     */
    private function drainSteps(array $predicted): array
    {
        $steps = [];
        foreach ($predicted['drains'] as $i => ['port' => $port, 'volume_ml' => $volume]) {
            $steps[] = new Step("drain:{$port}", 'drain', Stage::Drain, ['port' => $port, 'predicted_ml' => $volume, 'first' => $i === 0, 'empties' => $predicted['empties'][$port] ?? []]);
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

    /**
     * @param  array<string, mixed>  $predicted
     * @return array<string, string>
     */
    private function toGather(array $predicted): array
    {
        $litres = fn (float $ml) => number_format(ceil($ml * 1.15 / 100.0) / 10.0, 1).' L';
        $items = [
            'concentrate' => "{$this->circuit->facts->base->label()} concentrate, {$this->circuit->facts->inhibitor}: {$litres($predicted['concentrate_ml'])} with 15 % spare",
            'water' => "Distilled or deionised water: {$litres($predicted['water_ml'])}",
            'vessels' => 'Graduated pans for the drain, jug and bucket, kept apart',
        ];
        foreach ($this->circuit->ports as $port) {
            if ($port->washer !== '' && ($port->kind === 'bleed' || in_array($port->id, $this->input->drains, true))) {
                $items["washer_{$port->id}"] = "{$port->label}: {$port->washer}";
            }
        }

        return $items + ($this->input->school === PlanInput::VACUUM
            ? ['filler' => 'Vacuum filler with the adapter for this neck, compressed air']
            : ['rags' => 'Rags and a small vessel for each bleed point'] + ($this->input->headMm > 0.0 ? ['funnel' => 'High funnel with the adapter for this neck, stopper'] : []));
    }

    /** @return array<string, string> */
    private function toCloseUp(): array
    {
        $items = [];
        foreach ($this->input->opened as $id) {
            $items["joint_{$id}"] = "Clamps on their marks: {$this->circuit->passages[$id]->label}";
        }
        foreach ($this->circuit->gates as $gate) {
            if ($gate->kind === 'thermostat' && in_array($gate->passage, $this->input->opened, true)) {
                $items['thermostat'] = 'Thermostat: spring toward the engine, jiggle pin at the top, new gasket';
            }
        }
        foreach ($this->input->drains as $id) {
            $port = $this->circuit->ports[$id];
            $items["drain_{$id}"] = "{$port->label} shut and dry".($port->torqueNm === null ? '' : ' ('.rtrim(rtrim(number_format($port->torqueNm, 1), '0'), '.').' N·m)');
        }

        return $items + ['back' => 'What came off for access and is needed to run is back'];
    }

    /**
     * The circuit as it should stand in the end: filled to the cold level, no pocket left.
     *
     * @param  array<string, list<array{float, float, int}>>  $runs
     * @return array<string, list<array{float, float, int}>>
     */
    private static function withoutTrappedAir(array $runs): array
    {
        return array_map(fn (array $passage) => array_map(fn (array $run) => [$run[0], $run[1], $run[2] === Filling::TRAPPED ? Filling::COOLANT : $run[2]], $passage), $runs);
    }

    /**
     * Bleed points that cannot run in this pour, with the height that is missing.
     *
     * @return array<string, float>
     */
    private function missing(Filling $fill): array
    {
        $surface = $this->circuit->heightMm($this->circuit->fillPort()->node, $this->input->noseLiftMm) + $this->input->headMm;
        $missing = [];
        foreach ($fill->silent($this->circuit) as $port) {
            if (! in_array($port->id, $this->input->bleedsOf($this->circuit), true)) {
                continue;
            }
            $missing[$port->id] = max(0.0, $this->circuit->heightMm($port->node, $this->input->noseLiftMm) - $surface);
        }

        return $missing;
    }

    /**
     * What each drain empties, by comparing with one drain fewer.
     *
     * @return array<string, list<string>>
     */
    private function emptiedBy(Drainage $all): array
    {
        $emptied = [];
        $before = array_map(fn (Passage $p) => $p->volumeMl, $this->circuit->passages);
        foreach ($this->input->drains as $i => $port) {
            $after = $i === count($this->input->drains) - 1 ? $all->retained
                : Drainage::of($this->circuit, array_slice($this->input->drains, 0, $i + 1), Filling::usualGates($this->circuit), $this->input->noseLiftMm)->retained;
            $loss = [];
            foreach ($before as $id => $volume) {
                $loss[$id] = $volume - ($after[$id] ?? 0.0);
            }
            arsort($loss);
            $emptied[$port] = array_keys($this->labelled(array_filter(array_slice($loss, 0, 3), fn (float $ml) => $ml > 100.0)));
            $before = [...array_map(fn () => 0.0, $before), ...$after];
        }

        return $emptied;
    }

    /**
     * @param  array<string, float>  $byPassage
     * @return array<string, float> by label, largest first
     */
    private function labelled(array $byPassage): array
    {
        $labelled = [];
        foreach ($byPassage as $id => $ml) {
            $label = $this->circuit->passages[$id]->label;
            $labelled[$label] = ($labelled[$label] ?? 0.0) + $ml;
        }
        arsort($labelled);

        return $labelled;
    }
}
