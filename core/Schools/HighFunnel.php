<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\WarmUp;

/** A sealed funnel makes the neck the highest point, and stays on while it runs. */
final class HighFunnel extends Poured
{
    private const HEAD_MM = 300.0;

    public function id(): string
    {
        return 'funnel';
    }

    public function label(): string
    {
        return 'High funnel';
    }

    public function catch(): string
    {
        return 'Adapter and ring have to fit the neck.';
    }

    public function runs(): bool
    {
        return true;
    }

    public function warmUp(): WarmUp
    {
        return WarmUp::UnderFunnel;
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return $choices->has(Tool::Funnel)
            ? null
            : new Misfit('no_funnel', 'needs a high funnel', 'A high funnel with its adapter has to be at hand.');
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, $choices->bleedsOf($circuit), self::HEAD_MM, $choices->noseLiftMm)];
    }
}
