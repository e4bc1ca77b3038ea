<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;

/** The plans of every school that fits, side by side under the same choices, and the cheapest way under the limit. */
final readonly class Comparison
{
    /**
     * @param  float  $limitMl  air that may be left
     * @param  non-empty-list<ComparedSchool>  $schools  soonest done first
     * @param  array<string, Misfit>  $unfit  why those that can be run elsewhere do not fit, by the school's label
     * @param  list<NeverRuns>  $never  bleed points that cannot run as it stands
     */
    private function __construct(
        public float $limitMl,
        public float $retainedMl,
        public array $schools,
        public ?CheapestFill $cheapest,
        public array $never,
        public ComparedSchool $recommended,
        private ComparedSchool $least,
        public array $unfit = [],
    ) {
    }

    public static function of(Planner $planner, Groundwork $on): self
    {
        [$circuit, $choices] = [$on->circuit, $on->choices];
        [$rows, $unfit] = [[], []];
        $fitting = array_map(fn (School $school) => $school->id(), $planner->fitting($on));
        foreach ($planner->schools->for($circuit) as $school) {
            $misfit = $planner->misfit($school, $on);
            $isDry = $misfit?->code === Misfit::DRY && in_array($school->id(), $fitting, true);
            $unfit += $misfit !== null && ! $isDry && $school->runs() ? [$school->label() => $misfit] : [];
            if ($misfit === null || $isDry) {
                $plan = $planner->by($school, $on);
                $minutes = $plan->minutes($planner->kinds)->plus($school->besides($choices));
                $rows[self::work($plan, $circuit)] = new ComparedSchool(
                    $school,
                    $plan->fill,
                    $minutes,
                    LikelyRuns::of($plan, $circuit, $planner->kinds),
                );
            }
        }
        usort($rows, fn (ComparedSchool $a, ComparedSchool $b) => self::rank($a) <=> self::rank($b));
        $whole = array_values(array_filter($rows, fn (ComparedSchool $row) => ! $row->school->isAid()));
        $whole = array_values(array_filter($whole, fn (ComparedSchool $row) => $row->school->runs())) ?: $whole;
        if ($rows === [] || $whole === []) {
            throw new \LogicException('There is always a school that fits.');
        }
        // What rests on an estimate of running is shown, and recommended only where nothing surer fits.
        $sure = array_values(array_filter($whole, fn (ComparedSchool $row) => ! $row->fill->estimate)) ?: $whole;
        $least = array_reduce(
            $sure,
            fn (ComparedSchool $least, ComparedSchool $row) => $row->fill->airMl < $least->fill->airMl ? $row : $least,
            $sure[0],
        );

        return new self(
            $choices->airLimitMl($circuit),
            $on->predicted->retainedMl,
            $rows,
            CheapestFill::of($circuit, $choices, $on->fills),
            NeverRuns::in($circuit, $choices, $on->fills),
            $sure[0],
            $least,
            $unfit,
        );
    }

    /** Why the recommended one is recommended, in the reader's units. */
    public function reason(Circuit $circuit, UnitSystem $units): string
    {
        $best = $this->recommended;
        $volume = fn (float $ml): string => $units->format($ml, Dimension::Volume);
        $air = self::airOf($best->fill, $volume);
        $sooner = array_filter(
            $this->schools,
            fn (ComparedSchool $row) => $row->fill->estimate && self::rank($row) < self::rank($best),
        );
        $soonest = 'done soonest'.($sooner === [] ? '' : ' of those whose air is not an estimate');
        if ($best->school->mixedOutside()) {
            return "{$best->school->label()} is {$soonest}: the {$air} it leaves gathers under the neck, where it "
                .'is topped up.';
        }
        if ($best->fill->airHighMl() <= $this->limitMl) {
            return "{$best->school->label()} leaves {$air} of air, under the {$volume($this->limitMl)} allowed, "
                ."and is {$soonest}.";
        }
        if ($best->fill->airMl <= $this->limitMl) {
            return "{$best->school->label()} leaves {$air} of air, "
                ."and is {$soonest}: how much hangs on heights that a tape cannot tell apart.";
        }
        $where = ($best->fill->pockets[0]->air ?? null)?->said($circuit) ?? '';

        return "No way here gets under {$volume($this->limitMl)} by filling alone; {$best->school->label()} "
            .'with '.($best->runs->likely === 1 ? 'one run' : "likely {$best->runs->likely} runs")." is {$soonest}"
            .($where === '' ? '.' : ", its air at {$where}.")
            .($this->least === $best ? '' : " {$this->least->school->label()} leaves least, "
                .self::airOf($this->least->fill, $volume).'.');
    }

    /**
     * A range where it hangs on heights that are not sure.
     *
     * @param  \Closure(float): string  $volume
     */
    private static function airOf(PredictedFill $fill, \Closure $volume): string
    {
        return $fill->ties === []
            ? $volume($fill->airMl)
            : "{$volume($fill->airLowMl())} to {$volume($fill->airHighMl())}";
    }

    /**
     * What is poured and done, and what it leaves. Without a bleed point in use two schools are the same work, and
     * only the later one, with the plainer name, is listed.
     */
    private static function work(Plan $plan, Circuit $circuit): string
    {
        $kinds = array_map(fn (Step $step) => $step->kind, $plan->steps);

        return serialize([
            $plan->school->pours($circuit, $plan->choices),
            $kinds,
            $plan->school->warmUp()->name,
            $plan->fill->airMl,
        ]);
    }

    /** @return array{float, float, float} */
    private static function rank(ComparedSchool $row): array
    {
        $minutes = $row->likelyMinutes();

        return [$minutes->total(), $minutes->hands, $row->fill->airMl];
    }
}
