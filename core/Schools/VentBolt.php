<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\WarmUp;

/**
 * Filled, run to fan-on, cooled, the vent bolt cracked and the tank topped up; again, until nothing but coolant
 * comes.
 */
final class VentBolt extends Purged
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
}
