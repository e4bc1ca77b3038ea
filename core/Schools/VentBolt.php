<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Plan\WarmUp;

/**
 * Filled, run to fan-on, cooled, the vent bolt cracked and the tank topped up; again, until nothing but coolant
 * comes.
 */
final class VentBolt extends Poured
{
    public function id(): string
    {
        return 'vent_bolt';
    }

    public function label(): string
    {
        return 'Vent bolt between warm-ups';
    }

    public function catch(): string
    {
        return 'A cool-down before each vent; an estimate.';
    }

    public function runs(): bool
    {
        return true;
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return $choices->bleedsOf($circuit) === []
            ? new Misfit('no_bleed', 'needs a bleed point', 'There is no vent bolt to crack. Choose loose-cap '
                .'heat cycles.')
            : null;
    }

    public function warmUp(): WarmUp
    {
        return WarmUp::VentBetween;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, [], $choices->headMm, $choices->noseLiftMm)];
    }

    /** The fill's air less what one warm-up drives to the bolt. */
    public function predict(Groundwork $on): PredictedFill
    {
        return parent::predict($on)->leaving(Purging::leftByCycle());
    }

    /** Each warm-up but the last brings air; that one shows that nothing but coolant comes. */
    public function heatCycles(PredictedFill $fill, float $limitMl): int
    {
        return 1 + parent::heatCycles($fill, $limitMl);
    }
}
