<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;

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
        return 'Slow; an estimate.';
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, [])];
    }

    /** The fill's air less what one warm-up under the loose cap works out. */
    public function predict(Groundwork $on): PredictedFill
    {
        $fill = parent::predict($on);

        return new PredictedFill(
            $fill->airMl * Purging::leftByCycle(),
            $fill->coolantMl,
            $fill->runs,
            $fill->pockets,
            estimate: true,
        );
    }

    public function besides(Choices $choices): Minutes
    {
        return $choices->rules->labour->of('heat_cycle');
    }

    public function bleeds(Circuit $circuit, Choices $choices): array
    {
        return [];
    }
}
