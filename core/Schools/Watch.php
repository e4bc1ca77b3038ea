<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\PlannedPour;

/** Filled and run without any bleeding. */
final class Watch extends Poured
{
    public function id(): string
    {
        return 'watch';
    }

    public function label(): string
    {
        return 'Fill, run, watch';
    }

    public function catch(): string
    {
        return 'Air may stay; the proofs still apply.';
    }

    public function runs(): bool
    {
        return true;
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
