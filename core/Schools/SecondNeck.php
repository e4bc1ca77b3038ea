<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Values;

/** Filled at the neck, which is capped; then through a second fill point until that stands full, and capped too. */
final class SecondNeck extends Poured
{
    public const ID = 'second_neck:';

    public function __construct(private readonly string $port, private readonly string $through = '')
    {
    }

    public function id(): string
    {
        return self::ID.$this->port;
    }

    public function label(): string
    {
        return $this->through === '' ? 'Second neck after the cap' : "Second neck after the cap, {$this->through}";
    }

    public function catch(): string
    {
        return 'Two fill points to open and to close.';
    }

    public function runs(): bool
    {
        return true;
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return self::noSuchNeck($circuit, $this->port) ?? parent::whyNot($circuit, $choices);
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        $bleeds = $choices->bleedsOf($circuit);
        $first = PlannedPour::atTheNeck($circuit, $bleeds, $choices->headMm, $choices->noseLiftMm);
        $open = [...$bleeds, $circuit->fillPort()->id];

        return [$first, new PlannedPour($this->port, $open, noseLiftMm: $choices->noseLiftMm, after: $first)];
    }

    /** The points run at the neck; what the second pour leaves is what stays. */
    public function predict(Groundwork $on): PredictedFill
    {
        $first = $on->fills->of($this->pours($on->circuit, $on->choices)[0]);
        $last = parent::predict($on);
        $better = $last->airMl <= $first->airMl ? $last : $first;

        return new PredictedFill(
            $better->airMl,
            $on->coolantMl(),
            $better->runs,
            $better->pockets,
            $first->flows,
            $first->silent,
        );
    }

    public function steps(Groundwork $on, PredictedFill $fill): array
    {
        $second = new Step(
            "fill_through:{$this->port}",
            'fill_through',
            Stage::Fill,
            new Values(['port' => $this->port, 'capped' => true]),
        );
        $steps = [];
        foreach (parent::steps($on, $fill) as $step) {
            $steps = $step->kind === 'fill_level' ? [...$steps, $step, $second] : [...$steps, $step];
        }

        return $steps;
    }

    /** As the pour at the neck lets it stand, and the second one once something went in there. */
    public function picture(JobState $job): Runs
    {
        $begun = $job->entriesOf("fill_through:{$this->port}", 'poured') !== [];

        return $this->pours($job->circuit, Plan::of($job)->choices)[$begun ? 1 : 0]->standing($job);
    }

    public function needs(Circuit $circuit, Choices $choices): array
    {
        return [...parent::needs($circuit, $choices), 'hose_funnel' => 'Funnel that fits the second fill point, '
            .'its cap or clamp'];
    }
}
