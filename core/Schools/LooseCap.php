<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\WarmUp;

/** Warmed up under a resting cap and topped up, again and again. */
final class LooseCap extends Purged
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

    public function warmUp(): WarmUp
    {
        return WarmUp::LooseCap;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, [], $choices->headMm, $choices->noseLiftMm)];
    }

    public function bleeds(Circuit $circuit, Choices $choices): array
    {
        return [];
    }
}
