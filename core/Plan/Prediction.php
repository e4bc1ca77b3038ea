<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\VacuumPlan;

/** The numbers a plan rests on, simulated once for all schools: what drains, what stays, what a fill takes and leaves. */
final readonly class Prediction
{
    private const SHOP_C = 20.0;

    private function __construct(private Circuit $circuit, private Choices $input)
    {
    }

    /** @return array<string, mixed> plain data, kept with the job */
    public static function of(Circuit $circuit, Choices $input): array
    {
        return (new self($circuit, $input))->all();
    }

    /** @return array<string, mixed> drains, retained, fill, vacuum and coolant needed, with labels for people */
    private function all(): array
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
