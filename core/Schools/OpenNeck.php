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

/** Warmed up with the cap off and kept to the brim as it sinks; capped at operating temperature, then driven. */
final class OpenNeck extends Poured
{
    public function id(): string
    {
        return 'open_neck';
    }

    public function label(): string
    {
        return 'Open neck, topped while running';
    }

    public function catch(): string
    {
        return 'Boils sooner, and spits; an estimate.';
    }

    public function runs(): bool
    {
        return true;
    }

    public function warmUp(): WarmUp
    {
        return WarmUp::OpenNeck;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, [], $choices->headMm, $choices->noseLiftMm)];
    }

    /** The fill's air less what one warm-up at an open neck works out. */
    public function predict(Groundwork $on): PredictedFill
    {
        return parent::predict($on)->leaving(Purging::leftByCycle($on->choices->rules->purgingFactor));
    }

    public function bleeds(Circuit $circuit, Choices $choices): array
    {
        return [];
    }
}
