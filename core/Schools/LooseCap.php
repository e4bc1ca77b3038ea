<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Plan\WarmUp;

/** Warmed up under a resting cap and topped up, again and again. */
final class LooseCap extends Poured
{
    public function id(): string
    {
        return 'loose_cap';
    }

    public function label(): string
    {
        return 'Loose-cap heat cycles';
    }

    public function catch(): string
    {
        return 'The neck is lifted warm; an estimate.';
    }

    public function runs(): bool
    {
        return true;
    }

    public function warmUp(): WarmUp
    {
        return WarmUp::LooseCap;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, [], $choices->headMm, $choices->noseLiftMm)];
    }

    /** The fill's air less what one warm-up under the loose cap works out. */
    public function predict(Groundwork $on): PredictedFill
    {
        return parent::predict($on)->leaving(Purging::leftByCycle());
    }

    /** Each warm-up but the last takes coolant; that one shows that nothing more goes in. */
    public function heatCycles(PredictedFill $fill, float $limitMl): int
    {
        return 1 + parent::heatCycles($fill, $limitMl);
    }

    public function bleeds(Circuit $circuit, Choices $choices): array
    {
        return [];
    }
}
