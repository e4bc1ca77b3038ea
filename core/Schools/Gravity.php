<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\PlannedPour;

/** Poured slowly at the neck with the bleed points open, each closed as it runs. */
final class Gravity extends Poured
{
    public function id(): string
    {
        return 'gravity';
    }

    public function label(): string
    {
        return 'Gravity';
    }

    public function catch(): string
    {
        return 'A bleed point above the neck never runs.';
    }

    public function runs(): bool
    {
        return true;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, $choices->bleedsOf($circuit), $choices->headMm, $choices->noseLiftMm)];
    }
}
