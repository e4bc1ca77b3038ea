<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Circuit\Passage;
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
        return self::schools($circuit, $input)[$input->school] ?? throw new InvalidField('school', $input->jobKind === PlanInput::BLEED
            ? 'A vacuum fill needs the circuit drained. For bleeding only choose gravity, or plan a repair with its drains.'
            : 'A vacuum fill needs the vacuum filler at hand. Tick it under tools, or choose gravity.');
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
        $vacuum = $input->has('vacuum_filler') && $input->jobKind !== PlanInput::BLEED;
        foreach ($vacuum ? [PlanInput::GRAVITY, PlanInput::VACUUM] : [PlanInput::GRAVITY] as $school) {
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
        $mix = $this->input->mix($circuit, $usable, $drainage->retainedMl);
        $letsOut = $this->letOutBy($drainage);

        return [
            'capacity_ml' => $circuit->capacityMl(),
            'headspace_ml' => $headspace,
            'drains' => self::belowHeadspace($drainage->drains, $headspace),
            'lets_out' => $letsOut,
            'slow' => array_map(fn (array $region) => ['parts' => $this->labels($region['passages']), 'air_port' => $region['air_port']], $drainage->slow),
            'further' => $this->further($drainage),
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
            'concentrate_ml' => $mix->stock()->mL(),
            'water_ml' => $mix->water()->mL(),
            'usable_ml' => $usable,
            'rinses' => $this->input->rinses($usable, $drainage->retainedMl),
            'reachable' => $mix->reachable(),
            'final_fraction' => $mix->finalFraction(),
        ];
    }

    /**
     * A circuit is full to its cold mark, not to the brim: what is air in the tank already comes out of no drain.
     *
     * @param  list<array{port: string, volume_ml: float}>  $drains
     * @return list<array{port: string, volume_ml: float}>
     */
    private static function belowHeadspace(array $drains, float $headspaceMl): array
    {
        foreach ($drains as $i => $drain) {
            $air = min($headspaceMl, $drain['volume_ml']);
            $drains[$i]['volume_ml'] -= $air;
            $headspaceMl -= $air;
        }

        return $drains;
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
        $input = $this->input;
        $materials = new Materials($this->circuit, $input);
        $fill = $input->school === PlanInput::VACUUM ? $this->vacuumSteps($predicted) : $this->gravitySteps($predicted);
        $round = ColdLevel::round(1);
        $drained = $input->drains !== [];

        return self::gated(array_values(array_filter([
            new Step('found', 'found', Stage::Plan),
            $input->jobKind === PlanInput::LOST ? null : new Step('baseline', 'baseline', Stage::Plan),
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
     * @return array<string, array<string, float>> mL by label, largest first, by port
     */
    private function letOutBy(Drainage $all): array
    {
        $emptied = [];
        $before = array_map(fn (Passage $p) => $p->volumeMl, $this->circuit->passages);
        foreach ($this->input->drains as $i => $port) {
            $after = $i === count($this->input->drains) - 1 ? $all->retained : $this->drainedBy(array_slice($this->input->drains, 0, $i + 1))->retained;
            $loss = [];
            foreach ($before as $id => $volume) {
                $loss[$id] = $volume - ($after[$id] ?? 0.0);
            }
            $emptied[$port] = $this->labelled(array_filter($loss, fn (float $ml) => $ml > 20.0));
            $before = [...array_map(fn () => 0.0, $before), ...$after];
        }

        return $emptied;
    }

    /**
     * The drain points that are not opened: what each would still let out, and for how much work.
     *
     * @return array<string, array{volume_ml: float, minutes: float, covers: list<string>, parts: array<string, float>}> by port, most first
     */
    private function further(Drainage $planned): array
    {
        $off = array_map(fn (Cover $c) => $c->id, (new Materials($this->circuit, $this->input))->covers());
        $further = [];
        foreach ($this->circuit->portsOf('drain') as $port) {
            if (! in_array($port->id, $this->input->drains, true)) {
                $after = $this->drainedBy([...$this->input->drains, $port->id]);
                $loss = array_map(fn (string $id) => ($planned->retained[$id] ?? 0.0) - ($after->retained[$id] ?? 0.0), array_combine($ids = array_keys($this->circuit->passages), $ids));
                $covers = array_map(fn (string $id) => $this->circuit->covers[$id], array_values(array_diff($port->behind, $off)));
                $further[$port->id] = [
                    'volume_ml' => max(0.0, $planned->retainedMl - $after->retainedMl),
                    'minutes' => $port->minutes + array_sum(array_map(fn (Cover $c) => $c->minutes, $covers)),
                    'covers' => array_map(fn (Cover $c) => $c->label, $covers),
                    'parts' => $this->labelled(array_filter($loss, fn (float $ml) => $ml > 20.0)),
                ];
            }
        }
        uasort($further, fn (array $a, array $b) => $b['volume_ml'] <=> $a['volume_ml']);

        return $further;
    }

    /** @param  list<string>  $ports */
    private function drainedBy(array $ports): Drainage
    {
        return Drainage::of($this->circuit, $ports, Filling::usualGates($this->circuit), $this->input->noseLiftMm);
    }

    /**
     * @param  list<string>  $passages
     * @return list<string>
     */
    private function labels(array $passages): array
    {
        return array_values(array_unique(array_map(fn (string $id) => $this->circuit->passages[$id]->label, $passages)));
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
