<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\PlannedPour;

/** The engine filled backwards through another fill port, then the neck. */
final class EngineFirst extends Poured
{
    public function __construct(private readonly Port $port)
    {
    }

    public function id(): string
    {
        return "engine_first:{$this->port->id}";
    }

    public function label(): string
    {
        return "Engine first, through {$this->port->label}";
    }

    public function catch(): string
    {
        return 'Messy.';
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [new PlannedPour($this->port->id, [...$choices->bleedsOf($circuit), $circuit->fillPort()->id])];
    }
}
