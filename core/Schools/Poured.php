<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Values;

/** What the schools share that pour at atmospheric pressure: the simulated fill decides what they take and leave. */
abstract class Poured implements School
{
    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return null;
    }

    /** Where it goes in through a further neck that this circuit has not. */
    protected static function noSuchNeck(Circuit $circuit, string $port): ?Misfit
    {
        return ($circuit->ports[$port] ?? null)?->kind === PortKind::Fill
            ? null
            : new Misfit(
                'no_second_neck',
                'needs a second neck',
                'This circuit has no such fill point. Choose another way, or add the point to the circuit.',
            );
    }

    public function runs(): bool
    {
        return false;
    }

    public function beginsEmpty(): bool
    {
        return false;
    }

    public function followsTheManual(): bool
    {
        return false;
    }

    public function isAid(): bool
    {
        return false;
    }

    public function predict(Groundwork $on): PredictedFill
    {
        $pours = $this->pours($on->circuit, $on->choices);
        $pour = $pours[count($pours) - 1];
        $fill = $on->fills->of($pour);

        return new PredictedFill(
            $fill->airMl,
            $on->coolantMl(),
            $fill->runs,
            $fill->pockets,
            $fill->flows,
            $fill->silent,
        );
    }

    /** Bleed points in the order in which they run, those that stay silent last; then up to the mark, and pressed. */
    public function steps(Groundwork $on, PredictedFill $fill): array
    {
        $bleeds = [];
        $inside = $on->choices->fillsOnWhatStays() ? 0.0 : $on->predicted->retainedMl;
        foreach ($fill->flows as $flow) {
            $about = ['port' => $flow->port, 'at_ml' => max(0.0, $flow->atMl - $inside)];
            $bleeds[] = new Step("bleed:{$flow->port}", 'bleed', Stage::Fill, new Values($about));
        }
        foreach ($fill->silent as $silent) {
            $about = [
                'port' => $silent->port,
                'missing_mm' => $silent->missingMm,
                'silent' => $silent->because->value,
                'about' => $silent->about ?? '',
            ];
            $bleeds[] = new Step("bleed:{$silent->port}", 'bleed', Stage::Fill, new Values($about));
        }
        $ports = array_map(fn (Step $s) => $s->params->text('port'), $bleeds);
        // The tester sits on the neck, where the funnel stays.
        $pressed = $on->choices->has(Tool::PressureTester) && $this->warmUp() !== WarmUp::UnderFunnel
            ? [new Step('pressure_test', 'pressure_test', Stage::Vacuum)]
            : [];

        $pour = $this->pours($on->circuit, $on->choices)[0];
        // A nose that is up from the start was raised when the vehicle was made safe; it comes down all the same.
        $up = $pour->noseLiftMm > $on->choices->noseLiftMm ? [new Step('raise', 'raise', Stage::Fill)] : [];
        $funnel = $pour->headMm > 0.0 ? [new Step('funnel', 'funnel', Stage::Fill)] : [];
        $down = $pour->noseLiftMm > 0.0 ? [new Step('lower', 'lower', Stage::Fill)] : [];
        $opened
            = $ports === [] ? [] : [new Step('open_bleeds', 'open_bleeds', Stage::Fill, new Values(['ports' => $ports]))];

        return [
            ...$up,
            ...$funnel,
            ...$opened,
            ...$bleeds,
            ...$down,
            new Step('fill_level', 'fill_level', Stage::Fill),
            ...$pressed,
        ];
    }

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
        return Purging::cycles($fill->airMl, $limitMl, $timesUsual);
    }

    public function besides(Choices $choices): Minutes
    {
        return new Minutes;
    }

    public function bleeds(Circuit $circuit, Choices $choices): array
    {
        return $choices->bleedsOf($circuit);
    }

    public function mixedOutside(): bool
    {
        return false;
    }

    public function needs(Circuit $circuit, Choices $choices): array
    {
        $funnel = $this->pours($circuit, $choices)[0]->headMm > 0.0 ? ['funnel' => 'High funnel with the adapter '
            .'for this neck, stopper'] : [];

        return ['rags' => $circuit->hasBleedPoints() ? 'Rags and a small vessel for each bleed point' : 'Rags']
            + $funnel;
    }

    public function outlook(Plan $plan, Circuit $circuit, UnitSystem $units): string
    {
        $say = fn (Pocket $pocket): string => $pocket->air->said($circuit).' '.$units->format($pocket->volumeMl(), Dimension::Volume);

        return $plan->fill->pockets === []
            ? 'No air stays.'
            : 'As chosen, air stays at: '.implode('; ', array_map($say, $plan->fill->pockets)).'.';
    }

    public function picture(JobState $job): ?Runs
    {
        return $this->pours($job->circuit, Plan::of($job)->choices)[0]->standing($job);
    }
}
