<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Flow\Standing;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\AfterVacuum;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\VacuumFill;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Quantity\Volume;

/** The closed, cool circuit evacuated and held; then it draws the coolant in by itself. */
final class Vacuum implements School
{
    /** What a page rounds to nothing, mL. */
    private const HARDLY_ML = 5.0;

    /** Less than this stays in a pocket unsaid (common practice, no source). */
    private const TELLS_ML = 20.0;

    public function id(): string
    {
        return 'vacuum';
    }

    public function label(): string
    {
        return 'Vacuum fill';
    }

    public function catch(): string
    {
        return 'Needs a tight circuit and a cool engine.';
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return match (true) {
            $choices->jobKind === JobKind::Bleed => new Misfit('not_drained', 'needs the circuit drained',
                'A vacuum fill needs the circuit drained. For bleeding only choose gravity, or plan a repair with '
                    .'its drains.'),
            ! $choices->has(Tool::VacuumFiller) => new Misfit('no_filler', 'needs the vacuum filler at hand',
                'A vacuum fill needs the vacuum filler at hand. Tick it under tools, or choose gravity.'),
            default => null,
        };
    }

    public function runs(): bool
    {
        return true;
    }

    public function beginsEmpty(): bool
    {
        return true;
    }

    public function followsTheManual(): bool
    {
        return false;
    }

    public function isAid(): bool
    {
        return false;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, [])];
    }

    /**
     * Most of what is left gathers under the neck, where it is simply topped up; each pocket that a pour would trap
     * keeps its share of it.
     */
    public function predict(Groundwork $on): PredictedFill
    {
        $vacuum = VacuumFill::of($on->circuit, $on->choices, $on->predicted);
        $share = VacuumFill::leaves($vacuum, $on->predicted);
        $poured = $on->fills->of($this->pours($on->circuit, $on->choices)[0]);
        $trapped = array_filter($poured->pockets, fn (Pocket $pocket) => ! $pocket->open);
        $pockets = array_map(
            fn (Pocket $p) => new Pocket($p->air->times($share), false, $p->highestMm),
            array_values($trapped),
        );

        return new PredictedFill($vacuum->topUp()->mL(), $on->coolantMl(), $on->predicted->fullRuns, $pockets);
    }

    public function steps(Groundwork $on, PredictedFill $fill): array
    {
        return [
            new Step('set_up_vacuum', 'set_up_vacuum', Stage::Vacuum),
            new Step('pull:1', 'pull', Stage::Vacuum),
            new Step('hold:1', 'hold', Stage::Vacuum),
            new Step('vacuum_fill', 'vacuum_fill', Stage::Fill),
            new Step('fill_level', 'fill_level', Stage::Fill),
            ...$on->choices->rules->afterVacuum === AfterVacuum::PressToo && $on->choices->has(Tool::PressureTester)
                ? [new Step('pressure_test', 'pressure_test', Stage::Vacuum)]
                : [],
        ];
    }

    /** One, to prove it: what the vacuum left is topped up at the neck and waits for no heat. */
    public function warmUp(): WarmUp
    {
        return WarmUp::Usual;
    }

    public function rounds(Circuit $circuit): ?array
    {
        return null;
    }

    public function looks(): int
    {
        return 1;
    }

    public function heatCycles(PredictedFill $fill, float $limitMl, float $timesUsual = 1.0): int
    {
        return 1;
    }

    public function besides(Choices $choices): Minutes
    {
        return new Minutes;
    }

    public function bleeds(Circuit $circuit, Choices $choices): array
    {
        return [];
    }

    public function mixedOutside(): bool
    {
        return true;
    }

    public function needs(Circuit $circuit, Choices $choices): array
    {
        return ['filler' => 'Vacuum filler with the adapter for this neck, compressed air'];
    }

    public function outlook(Plan $plan, Circuit $circuit, UnitSystem $units): string
    {
        $vacuum = VacuumFill::of($circuit, $plan->choices, $plan->predicted);
        $volume = fn (Volume $v): string => $units->format($v->mL(), Dimension::Volume);

        return "Pull to {$units->format($vacuum->target->kPa(), Unit::InchOfMercury)}: the same quality here as "
            ."{$plan->rules()->seaLevelVacuumInHg} inHg at sea level."
            ." Circuit below {$units->format($vacuum->maximumTemperature()->degC(), Dimension::Temperature)}."
            .($vacuum->intake()->mL() < self::HARDLY_ML ? '' : " It draws in {$volume($vacuum->intake())}"
                .($vacuum->topUp()->mL() < self::HARDLY_ML ? '.' : ", then top up {$volume($vacuum->topUp())}."))
            .self::keeps($plan->fill->pockets, $circuit, $units);
    }

    public function picture(JobState $job): ?Runs
    {
        $drawn = array_filter(
            $job->stepsOf('vacuum_fill'),
            fn (Step $step) => $job->entriesOf($step->id, 'poured') !== [],
        );

        return $drawn === [] ? null : Standing::of($job->circuit, $job->ledger()->contentMl);
    }

    /** @param  list<Pocket>  $pockets */
    private static function keeps(array $pockets, Circuit $circuit, UnitSystem $units): string
    {
        $say = fn (Pocket $pocket): string => $pocket->air->said($circuit)
            .' about '.$units->format($pocket->volumeMl(), Dimension::Volume);
        $told = array_filter($pockets, fn (Pocket $pocket) => $pocket->volumeMl() >= self::TELLS_ML);

        return $told === [] ? '' : ' A little stays where a pour '
            .'would trap it: '.implode('; ', array_map($say, $told)).'.';
    }
}
