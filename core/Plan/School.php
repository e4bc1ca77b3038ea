<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Quantity\UnitSystem;

/**
 * One way of filling and bleeding. Planner, comparison, picture, materials, run and record ask it and know none by
 * name: a new school is one class in Schools, listed in its catalogue.
 */
interface School
{
    /** The code it is stored under. */
    public function id(): string;

    public function label(): string;

    /** What speaks against it even where it fits, in a sentence. */
    public function catch(): string;

    /** Why it cannot be taken here, with the remedy; null when it fits. */
    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit;

    /** Whether its steps can be run; else it only stands in the comparison. */
    public function runs(): bool;

    /** Whether it can only begin while nothing has been poured yet. */
    public function beginsEmpty(): bool;

    /** Whether the maker's own routine moves the coolant, with a pump of its own: no pour is judged then. */
    public function followsTheManual(): bool;

    /** Whether it stands on its own, or only helps at a pocket another school left. */
    public function isAid(): bool;

    /** @return non-empty-list<PlannedPour> in order */
    public function pours(Circuit $circuit, Choices $choices): array;

    /** What it takes and leaves. */
    public function predict(Groundwork $on): PredictedFill;

    /** @return list<Step> from the closed circuit to the first start */
    public function steps(Groundwork $on, PredictedFill $fill): array;

    /** How it is warmed up, and topped up meanwhile. */
    public function warmUp(): WarmUp;

    /**
     * Its runs, and what lies between them, where it lays them out itself; null where they go as its warm-up has it.
     *
     * @return ?list<Step>
     */
    public function rounds(Circuit $circuit): ?array;

    /** How many cold levels in a row have to take nothing before its runs end; so many runs are planned. */
    public function looks(): int;

    /**
     * Heat cycles that the air it leaves will likely want.
     *
     * @param  float  $timesUsual  the air a run leaves in this shop, over what is usual
     */
    public function heatCycles(PredictedFill $fill, float $limitMl, float $timesUsual = 1.0): int;

    /** Hands and waits that no step of it stands for. */
    public function besides(Choices $choices): Minutes;

    /** @return list<string> ports it opens on the way, which have to be reached and closed again */
    public function bleeds(Circuit $circuit, Choices $choices): array;

    /** Whether the coolant has to be mixed before it goes in. */
    public function mixedOutside(): bool;

    /** @return array<string, string> what is laid out for it, by item code */
    public function needs(Circuit $circuit, Choices $choices): array;

    /** What the plan says of it besides its steps, in the reader's units. */
    public function outlook(Plan $plan, Circuit $circuit, UnitSystem $units): string;

    /** Where coolant stands in the middle of its fill; null while nothing has gone in. */
    public function picture(JobState $job): ?Runs;
}
