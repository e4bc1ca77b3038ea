<?php

declare(strict_types=1);

namespace Tests\Extension;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Schools\Poured;

/** A school that nobody ships: poured at the neck, then idled in the yard. */
final class IdledFill extends Poured
{
    public function id(): string
    {
        return 'idled_fill';
    }

    public function label(): string
    {
        return 'Fill and idle';
    }

    public function catch(): string
    {
        return 'It takes a yard.';
    }

    public function runs(): bool
    {
        return true;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, [])];
    }

    public function steps(Groundwork $on, PredictedFill $fill): array
    {
        return [new Step('fill_level', 'fill_level', Stage::Fill), new Step('idle', 'idle_in_the_yard', Stage::RunHot)];
    }

    public function bleeds(Circuit $circuit, Choices $choices): array
    {
        return [];
    }
}
