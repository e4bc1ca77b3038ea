<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\Tool;

/** Poured with the nose up. */
final class Raised extends Poured
{
    private const LIFT_MM = 300.0;

    public function id(): string
    {
        return 'raise';
    }

    public function label(): string
    {
        return 'Nose raised';
    }

    public function catch(): string
    {
        return 'The other end’s pockets get worse.';
    }

    public function runs(): bool
    {
        return true;
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return $choices->has(Tool::Ramps)
            ? null
            : new Misfit('no_ramps', 'needs ramps or a lift', 'Ramps or a lift for the nose have to be at hand.');
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [
            PlannedPour::atTheNeck(
                $circuit,
                $choices->bleedsOf($circuit),
                $choices->headMm,
                max(self::LIFT_MM, $choices->noseLiftMm),
            ),
        ];
    }
}
