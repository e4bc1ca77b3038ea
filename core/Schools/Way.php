<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Plan\Schools;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Values;

/**
 * A way put together: filled by one, warmed up by another, with whatever helps, until what somebody wants to see.
 * The schools by name are such ways too, and stay as they are.
 */
final readonly class Way implements School
{
    /** Before its parts, as a plan keeps it: `way:gravity+open_neck+raise,squeeze+one_run`. */
    public const ID = 'way:';

    private const LIFT_MM = 300.0;

    /** @param  list<Aid>  $aids */
    public function __construct(
        public FillBy $fill,
        public WarmedBy $warmedBy,
        public array $aids,
        public RunsUntil $until,
        public School $by,
    ) {
    }

    /**
     * Put together; null where the fill is none that can be combined.
     *
     * @param  list<Aid>  $aids
     */
    public static function made(School $by, WarmedBy $warmedBy, array $aids, RunsUntil $until): ?self
    {
        $fill = FillBy::of($by);

        return $fill === null ? null : new self($fill, $warmedBy, $aids, $until, $by);
    }

    /** From what a plan keeps; null where it is none. */
    public static function of(string $id, Schools $schools): ?self
    {
        if (! str_starts_with($id, self::ID)) {
            return null;
        }
        [$fill, $warm, $aids, $until] = [...explode('+', substr($id, strlen(self::ID))), '', '', '', ''];

        return self::made(
            $schools->of($fill),
            WarmedBy::tryFrom($warm) ?? WarmedBy::Sealed,
            array_values(array_filter(array_map(Aid::tryFrom(...), explode(',', $aids)))),
            RunsUntil::tryFrom($until) ?? RunsUntil::OneRun,
        );
    }

    public function id(): string
    {
        return self::ID
            .implode('+', [
                $this->by->id(),
                $this->warmedBy->value,
                implode(',', array_map(fn (Aid $aid) => $aid->value, $this->aids)),
                $this->until->value,
            ]);
    }

    public function label(): string
    {
        $aids = array_map(fn (Aid $aid) => $aid->label(), $this->aids);

        return implode(', ', [$this->fill->label(), lcfirst($this->warmedBy->label()), ...$aids])
            .'; done '
            .$this->until->label();
    }

    public function catch(): string
    {
        return $this->by->catch();
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        $misfits = [
            $this->by->whyNot($circuit, $choices),
            $this->warmedBy->whyNot($circuit, $choices),
            ...array_map(fn (Aid $aid) => $aid->whyNot($circuit, $choices), $this->aids),
        ];

        return array_values(array_filter($misfits))[0]
            ?? match (true) {
                $this->fill === FillBy::Funnel && $this->warmedBy !== WarmedBy::UnderFunnel => new Misfit(
                    'funnel_stays',
                    'keeps its funnel while it runs',
                    'What is filled through a high funnel is warmed up under it. Choose “Under the funnel”.',
                ),
                $this->warmedBy === WarmedBy::UnderFunnel && $this->has(Aid::VentPressure) => new Misfit(
                    'funnel_where_the_tester_sits',
                    'has its funnel where the tester sits',
                    'Under a funnel the tester has no neck to sit on. Leave one of the two out: the column in the '
                        .'funnel lifts coolant as well.',
                ),
                $this->warmedBy === WarmedBy::UnderFunnel && $this->until === RunsUntil::Tight => new Misfit(
                    'funnel_needs_a_run',
                    'has a funnel that comes off after a run',
                    'A funnel comes off when it has fed a run and the cooling after it. Choose one good run, or '
                        .'another way.',
                ),
                $this->by->mixedOutside() && $this->has(Aid::Raise) => new Misfit(
                    'lift_does_not_help',
                    'leaves no less air here',
                    'A vacuum leaves no less air with the nose up: leave it down.',
                ),
                default => null,
            };
    }

    public function has(Aid $aid): bool
    {
        return in_array($aid, $this->aids, true);
    }

    public function runs(): bool
    {
        return true;
    }

    public function beginsEmpty(): bool
    {
        return $this->by->beginsEmpty();
    }

    public function followsTheManual(): bool
    {
        return $this->warmedBy === WarmedBy::Routine;
    }

    public function isAid(): bool
    {
        return false;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        $pours = $this->by->pours($circuit, $choices);

        return $this->has(Aid::Raise)
            ? array_map(
                fn (PlannedPour $pour) => $pour->but(noseLiftMm: max(self::LIFT_MM, $pour->noseLiftMm)),
                $pours,
            )
            : $pours;
    }

    public function predict(Groundwork $on): PredictedFill
    {
        $fill = $this->has(Aid::Raise) ? $this->poured($on) : $this->by->predict($on);
        if ($this->has(Aid::VentPressure)) {
            $cracked = (new PressureVent)->predict($on);
            $fill = $cracked->airMl < $fill->airMl
                    ? new PredictedFill(
                        $cracked->airMl,
                        $fill->coolantMl,
                        $cracked->runs,
                        $cracked->pockets,
                        $fill->flows,
                        $fill->silent,
                    )
                    : $fill;
        }

        return $this->warmedBy->purges() && $this->until !== RunsUntil::Tight
            ? $fill->leaving(Purging::leftByCycle($on->choices->rules->purgingFactor))
            : $fill;
    }

    /** What runs at an open neck meanwhile is no bleed point. */
    private function poured(Groundwork $on): PredictedFill
    {
        $pours = $this->pours($on->circuit, $on->choices);
        $fill = $on->fills->of($pours[count($pours) - 1]);
        $isBleed = fn (PortRun|SilentPort $one): bool => $on->circuit->port($one->port)->kind === PortKind::Bleed;

        return new PredictedFill(
            $fill->airMl,
            $on->coolantMl(),
            $fill->runs,
            $fill->pockets,
            array_values(array_filter($fill->flows, $isBleed)),
            array_values(array_filter($fill->silent, $isBleed)),
        );
    }

    public function steps(Groundwork $on, PredictedFill $fill): array
    {
        $steps = [];
        foreach ($this->by->steps($on, $fill) as $step) {
            // Under a funnel the tester has no neck to sit on.
            if ($step->kind === 'pressure_test' && $this->warmedBy === WarmedBy::UnderFunnel) {
                continue;
            }
            $squeezed = $step->kind === 'fill_level' && $this->has(Aid::Squeeze);
            $steps[] = $squeezed
                ? new Step($step->id, $step->kind, $step->stage, $step->params->with(Aid::Squeeze->value, true))
                : $step;
            if ($step->kind === 'fill_level' && $this->has(Aid::VentPressure)) {
                $steps[] = new Step('vent_under_pressure', 'vent_under_pressure', Stage::Fill);
            }
            if (
                $step->kind === 'fill_level'
                && $this->warmedBy === WarmedBy::Routine
                && ! (new RoutineSteps($on->circuit))->hasParts()
            ) {
                $lines = array_map(fn ($line) => $line->text, $on->circuit->facts->routine);
                $steps[] = new Step('routine', 'routine', Stage::Fill, new Values(['lines' => $lines]));
            }
        }
        // It stays up until the first run has shown all.
        $first = $this->has(Aid::Raise) && self::where('raise', $steps) === null
            ? [new Step('raise', 'raise', Stage::Fill)]
            : [];

        return [...$first, ...$this->withItsFunnel($steps)];
    }

    /**
     * What is poured is poured through it; on what a vacuum has drawn in it is put for the topping up.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private function withItsFunnel(array $steps): array
    {
        if ($this->warmedBy !== WarmedBy::UnderFunnel || self::where('funnel', $steps) !== null) {
            return $steps;
        }
        $before = $this->by->mixedOutside() ? (int) self::where('fill_level', $steps) : 0;

        return [
            ...array_slice($steps, 0, $before),
            new Step('funnel', 'funnel', Stage::Fill),
            ...array_slice($steps, $before),
        ];
    }

    /** @param  list<Step>  $steps */
    private static function where(string $kind, array $steps): ?int
    {
        $at = array_search($kind, array_map(fn (Step $step) => $step->kind, $steps), true);

        return $at === false ? null : $at;
    }

    public function warmUp(): WarmUp
    {
        return $this->warmedBy->warmUp();
    }

    public function rounds(Circuit $circuit): ?array
    {
        return $this->warmedBy === WarmedBy::Routine && $this->until->looks() === 1
            ? (new RoutineSteps($circuit))->rounds()
            : null;
    }

    public function looks(): int
    {
        return $this->until->looks();
    }

    public function heatCycles(PredictedFill $fill, float $limitMl, float $timesUsual = 1.0): int
    {
        return $this->looks() === 0 ? 0 : max($this->looks(), $this->by->heatCycles($fill, $limitMl, $timesUsual));
    }

    public function besides(Choices $choices): Minutes
    {
        return $this->by->besides($choices);
    }

    public function bleeds(Circuit $circuit, Choices $choices): array
    {
        return $this->by->bleeds($circuit, $choices);
    }

    public function mixedOutside(): bool
    {
        return $this->by->mixedOutside();
    }

    public function needs(Circuit $circuit, Choices $choices): array
    {
        return [
            ...$this->by->needs($circuit, $choices),
            ...$this->has(Aid::Raise) && $choices->has(Tool::Ramps)
                ? ['ramps' => 'Ramps, lift or stands for the nose, chocks']
                : [],
        ];
    }

    public function outlook(Plan $plan, Circuit $circuit, UnitSystem $units): string
    {
        return $this->by->outlook($plan, $circuit, $units);
    }

    public function picture(JobState $job): ?Runs
    {
        if (! $this->has(Aid::Raise)) {
            return $this->by->picture($job);
        }

        return $this->pours($job->circuit, Plan::of($job)->choices)[0]->standing($job);
    }
}
