<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\VacuumPlan;

/** Every school of filling the tools at hand allow, for this very circuit, and the cheapest way under the limit. */
final readonly class Comparison
{
    public const TOOLS = ['vacuum_filler', 'funnel', 'ramps', 'pressure_tester'];

    /** Helps at a stubborn pocket after another school, so it is shown but not recommended on its own. */
    private const AID = 'pressure';

    private const LIFT_MM = 300.0;

    private const FUNNEL_MM = 300.0;

    /** Share of the air that ten idling minutes of a heat cycle leave: e^(−0.10·10). An estimate, invented default. */
    private const LEFT_PER_CYCLE = 0.368;

    private const CYCLE_HANDS = 25.0;

    private const CYCLE_TOTAL = 145.0;

    private const MOST_CYCLES = 6;

    private const SEARCH_COARSENESS = 2.0;

    /** 10 psi, the most that is pumped on a cold circuit. */
    private const PUMP_KPA = 69.0;

    private const DENSITY = 1070.0;

    private const GRAVITY = 9.80665;

    /**
     * @param  list<ComparedSchool>  $schools  best first
     * @param  ?array{nose_lift_mm: float, head_mm: float, open: list<string>, air_ml: float, minutes: float}  $cheapest
     * @param  list<array{port: string, missing_mm: float, funnel_mm: ?float, nose_lift_mm: ?float}>  $never  bleed points that cannot run as it stands
     */
    private function __construct(public float $limitMl, public float $retainedMl, public array $schools, public ?array $cheapest, public array $never, public ComparedSchool $recommended, public string $reason)
    {
    }

    /**
     * @param  list<string>  $drains  drain ports opened before
     * @param  list<string>  $tools  of TOOLS
     * @param  float  $limitShare  air that may be left, as a share of capacity
     * @param  ?list<string>  $bleeds  bleed points that may be used; all when null
     */
    public static function of(Circuit $circuit, array $drains, array $tools, Atmosphere $air, float $limitShare = 0.03, float $seaLevelVacuumInHg = 25.0, ?array $bleeds = null): self
    {
        $bleeds ??= array_map(fn (Port $p) => $p->id, $circuit->portsOf('bleed'));
        $retained = Drainage::of($circuit, $drains, Filling::usualGates($circuit), airOpen: $bleeds)->retainedMl;
        $work = new Simulations($circuit, $air->pressure->kPa());
        $limit = $limitShare * $circuit->capacityMl();
        $schools = self::schools($circuit, $work, $tools, $air, $bleeds, $retained, $limit, $seaLevelVacuumInHg);
        usort($schools, fn (ComparedSchool $a, ComparedSchool $b) => [$a->totalMinutes, $a->handsOnMinutes, $a->airMl] <=> [$b->totalMinutes, $b->handsOnMinutes, $b->airMl]);
        $never = self::never($circuit, $work->fill(0.0, 0.0, $bleeds), $bleeds);

        $whole = array_values(array_filter($schools, fn (ComparedSchool $s) => $s->name !== self::AID));

        return new self($limit, $retained, $schools, self::cheapest($circuit, $work, $tools, $bleeds, $limit), $never, $whole[0], self::reason($circuit, $whole, $limit));
    }

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $bleeds
     * @return list<ComparedSchool>
     */
    private static function schools(Circuit $circuit, Simulations $work, array $tools, Atmosphere $air, array $bleeds, float $retained, float $limit, float $vacuumInHg): array
    {
        $cold = $work->fill(0.0, $circuit->facts->coldHeadMm, $bleeds);
        $room = $circuit->capacityMl() - $cold->headspaceMl;
        $school = function (string $name, string $label, Filling $fill, float $hands, string $catch) use ($room, $retained, $limit): ComparedSchool {
            return self::school($name, $label, $fill->airMl, $fill->pockets, $room - $retained, $hands, $limit, $catch, false);
        };
        $perBleed = 4.0 * count($bleeds);
        $schools = [];
        if ($bleeds !== []) {
            $schools[] = $school('gravity', 'Gravity with bleed points', $work->fill(0.0, 0.0, $bleeds), 14.0 + $perBleed, 'A bleed point above the neck never runs.');
        }
        $schools[] = $school('watch', 'Fill, run, watch', $work->fill(0.0, 0.0, []), 10.0, 'Air may stay; the proofs still apply.');
        $loose = $work->fill(0.0, 0.0, []);
        $schools[] = self::school('loose_cap', 'Loose-cap heat cycles', $loose->airMl * self::LEFT_PER_CYCLE, $loose->pockets, $room - $retained, 20.0 + self::CYCLE_HANDS, $limit, 'Slow; an estimate.', true);
        foreach (array_slice($circuit->portsOf('fill'), 1) as $port) {
            $schools[] = $school("engine_first:{$port->id}", "Engine first, through {$port->label}", $work->fill(0.0, 0.0, [...$bleeds, $circuit->fillPort()->id], $port->id), 22.0 + $perBleed, 'Messy.');
        }
        if (in_array('funnel', $tools, true)) {
            $schools[] = $school('funnel', 'High funnel', $work->fill(0.0, self::FUNNEL_MM, $bleeds), 16.0 + $perBleed, 'Open to the air: boils sooner.');
        }
        if (in_array('ramps', $tools, true)) {
            $schools[] = $school('raise', 'Nose raised', $work->fill(self::LIFT_MM, 0.0, $bleeds), 22.0 + $perBleed, 'The other end’s pockets get worse.');
        }
        if (in_array('pressure_tester', $tools, true) && $bleeds !== []) {
            $kpa = min(self::PUMP_KPA, $circuit->facts->capKpa ?? 0.0);
            if ($kpa > 0.0) {
                $head = $kpa * 1.0e6 / (self::DENSITY * self::GRAVITY);
                $schools[] = $school('pressure', 'Pressure-assisted vent', $work->fill(0.0, min(5000.0, $head), $bleeds), 20.0 + $perBleed, 'Cold only, never above the cap.');
            }
        }
        if (in_array('vacuum_filler', $tools, true)) {
            $plan = new VacuumPlan($air, Pressure::inchesOfMercury($vacuumInHg), Volume::millilitres(max(1.0, $circuit->capacityMl() - $retained)),
                Volume::millilitres($cold->headspaceMl), Temperature::celsius(20.0), $circuit->facts->coolant());
            // What is left gathers under the neck, where it is simply topped up.
            $schools[] = new ComparedSchool('vacuum', 'Vacuum fill', $plan->topUp()->mL(), [], $room - $retained, 30.0 + self::CYCLE_HANDS, 45.0 + self::CYCLE_TOTAL, 1, false, 'Needs a tight circuit and a cool engine.');
        }

        return $schools;
    }

    /** @param  list<array{volume_ml: float, passages: array<string, float>}>  $pockets */
    private static function school(string $name, string $label, float $air, array $pockets, float $coolant, float $hands, float $limit, string $catch, bool $estimate): ComparedSchool
    {
        $cycles = 1;
        for ($left = $air; $left > $limit && $cycles < self::MOST_CYCLES; $left *= self::LEFT_PER_CYCLE) {
            $cycles++;
        }

        return new ComparedSchool($name, $label, $air, $pockets, $coolant, $hands + $cycles * self::CYCLE_HANDS, $hands + $cycles * self::CYCLE_TOTAL, $cycles, $estimate, $catch);
    }

    /**
     * Raise, funnel and bleed points in order of the minutes they cost, until one leaves less than the limit. Of two sets
     * that do, the smaller comes first: one more open point can seal another branch.
     *
     * @param  list<string>  $tools
     * @param  list<string>  $bleeds
     * @return ?array{nose_lift_mm: float, head_mm: float, open: list<string>, air_ml: float, minutes: float}
     */
    private static function cheapest(Circuit $circuit, Simulations $work, array $tools, array $bleeds, float $limit): ?array
    {
        $tries = [];
        foreach (in_array('ramps', $tools, true) ? [0.0, 150.0, 300.0] : [0.0] as $lift) {
            foreach (in_array('funnel', $tools, true) ? [0.0, 150.0, 300.0] : [0.0] as $head) {
                foreach (self::subsets($bleeds) as $open) {
                    $tries[] = ['nose_lift_mm' => $lift, 'head_mm' => $head, 'open' => $open, 'minutes' => 10.0 + ($lift > 0.0 ? 8.0 + $lift / 100.0 : 0.0) + ($head > 0.0 ? 4.0 + $head / 300.0 : 0.0) + 4.0 * count($open)];
                }
            }
        }
        usort($tries, fn (array $a, array $b) => $a['minutes'] <=> $b['minutes']);
        foreach ($tries as $try) {
            // Twice as coarse finds the candidates, within 1 % of capacity; the standard mesh decides.
            if ($work->fill($try['nose_lift_mm'], $try['head_mm'], $try['open'], coarseness: self::SEARCH_COARSENESS)->airMl > $limit + 0.01 * $circuit->capacityMl()) {
                continue;
            }
            $air = $work->fill($try['nose_lift_mm'], $try['head_mm'], $try['open'])->airMl;
            if ($air <= $limit) {
                return [...$try, 'air_ml' => $air];
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $bleeds
     * @return list<list<string>> every subset of up to three points, else each alone and all together
     */
    private static function subsets(array $bleeds): array
    {
        if (count($bleeds) > 3) {
            return [[], ...array_map(fn (string $b) => [$b], $bleeds), $bleeds];
        }
        $subsets = [[]];
        foreach ($bleeds as $bleed) {
            foreach ($subsets as $subset) {
                $subsets[] = [...$subset, $bleed];
            }
        }

        return $subsets;
    }

    /**
     * @param  list<string>  $bleeds
     * @return list<array{port: string, missing_mm: float, funnel_mm: ?float, nose_lift_mm: ?float}>
     */
    private static function never(Circuit $circuit, Filling $fill, array $bleeds): array
    {
        $neck = $circuit->nodes[$circuit->fillPort()->node];
        $ran = array_column($fill->flows, 'port');
        $never = [];
        foreach (array_diff($bleeds, $ran) as $id) {
            $node = $circuit->nodes[$circuit->ports[$id]->node];
            $missing = max(0.0, $node->zMm - $neck->zMm);
            $lift = $neck->xMm > $node->xMm ? $missing * $circuit->wheelbaseMm / ($neck->xMm - $node->xMm) : null;
            $never[] = ['port' => $id, 'missing_mm' => $missing, 'funnel_mm' => $missing > 0.0 ? $missing : null, 'nose_lift_mm' => $missing > 0.0 && $lift !== null && $lift <= 600.0 ? $lift : null];
        }

        return $never;
    }

    /** @param  list<ComparedSchool>  $schools  best first, never empty */
    private static function reason(Circuit $circuit, array $schools, float $limit): string
    {
        $best = $schools[0];
        $litres = fn (float $ml) => number_format($ml / 1000.0, 2).' L';
        $least = $best;
        foreach ($schools as $school) {
            $least = $school->airMl < $least->airMl ? $school : $least;
        }
        if ($best->name === 'vacuum') {
            return "Vacuum fill is done soonest: the {$litres($best->airMl)} it leaves gathers under the neck, where it is topped up.";
        }
        if ($best->airMl <= $limit) {
            return "{$best->label} leaves {$litres($best->airMl)} of air, under the {$litres($limit)} allowed, and is done soonest.";
        }
        $where = implode(', ', array_slice(array_unique(array_map(fn (string $id) => $circuit->passages[$id]->label, array_keys($best->where[0]['passages'] ?? []))), 0, 2));

        return "No school here gets under {$litres($limit)} by filling alone; {$best->label} with {$best->heatCycles} heat cycles is done soonest"
            .($where === '' ? '.' : ", its air at {$where}.").($least !== $best ? " {$least->label} leaves least, {$litres($least->airMl)}." : '');
    }
}
