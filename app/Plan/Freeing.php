<?php

declare(strict_types=1);

namespace App\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\AirsWay;
use Aqbel\Core\Plan\CaughtAir;
use Aqbel\Core\Plan\Freer;
use Aqbel\Core\Plan\Frees;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;

/** Air that a fill leaves, and what would free it, in the reader's units. */
final readonly class Freeing
{
    public function __construct(private Circuit $circuit, private AirsWay $way, private UnitSystem $units)
    {
    }

    /** @return list<CaughtAir> */
    public function caught(): array
    {
        return $this->way->caught;
    }

    /** “0.34 L at Heater core, Heater return hose”. */
    public function where(CaughtAir $caught): string
    {
        return "{$this->volume($caught->pocket->volumeMl())} at {$caught->pocket->air->said($this->circuit)}";
    }

    public function does(Freer $freer): string
    {
        $by = $this->units->format($freer->byMm, Dimension::Length);

        return match ($freer->by) {
            Frees::Point => "Open {$this->circuit->ports[$freer->port]->label} too",
            Frees::Raise => "Nose {$by} higher",
            Frees::Funnel => "Funnel {$by} higher",
            Frees::Vacuum => 'Fill by vacuum',
            Frees::Run => 'One run hot, about',
        };
    }

    /** “0.03 L here, 0.80 L in all”; a vacuum’s rest gathers where it is topped up. */
    public function leaves(Freer $freer): string
    {
        return $this->volume($freer->leavesMl).' here, '.match ($freer->by) {
            Frees::Vacuum => 'the rest under the neck',
            default => $this->volume($freer->airMl).' in all',
        };
    }

    private function volume(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }
}
