<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Values;

/** The engine filled backwards through another fill point, a hose taken off; then the neck. */
final class EngineFirst extends Poured
{
    public const ID = 'engine_first:';

    public function __construct(private readonly string $port, private readonly string $through = '')
    {
    }

    public function id(): string
    {
        return self::ID.$this->port;
    }

    public function label(): string
    {
        return $this->through === '' ? 'Engine first' : "Engine first, through {$this->through}";
    }

    public function catch(): string
    {
        return 'A hose comes off; messy.';
    }

    public function beginsEmpty(): bool
    {
        return true;
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
        return [new PlannedPour(
            $this->port,
            [...$choices->bleedsOf($circuit), $circuit->fillPort()->id],
            noseLiftMm: $choices->noseLiftMm,
        )];
    }

    /** What runs at the open neck meanwhile is no bleed point. */
    public function predict(Groundwork $on): PredictedFill
    {
        $fill = parent::predict($on);
        $isBleed = fn (PortRun|SilentPort $one): bool => $on->circuit->port($one->port)->kind === PortKind::Bleed;

        return new PredictedFill(
            $fill->airMl,
            $fill->coolantMl,
            $fill->runs,
            $fill->pockets,
            array_values(array_filter($fill->flows, $isBleed)),
            array_values(array_filter($fill->silent, $isBleed)),
        );
    }

    public function steps(Groundwork $on, PredictedFill $fill): array
    {
        $steps = parent::steps($on, $fill);
        $through = new Step(
            "fill_through:{$this->port}",
            'fill_through',
            Stage::Fill,
            new Values(['port' => $this->port]),
        );
        // The vents are open before it, and close as they run.
        $opens = array_search('open_bleeds', array_map(fn (Step $step) => $step->kind, $steps), true);
        array_splice($steps, $opens === false ? 0 : (int) $opens + 1, 0, [$through]);

        return $steps;
    }

    public function needs(Circuit $circuit, Choices $choices): array
    {
        return [...parent::needs($circuit, $choices), 'hose_funnel' => 'Funnel that fits into the hose, pan under '
            .'it, pliers for its clamp'];
    }
}
