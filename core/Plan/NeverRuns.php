<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\SilentPort;

/** A bleed point that cannot run as the circuit stands, and what would make it run, mm. */
final readonly class NeverRuns
{
    /** A nose is not raised further than this in a workshop. */
    private const MOST_LIFT_MM = 600.0;

    private function __construct(
        public SilentPort $silent,
        public ?float $funnelMm,
        public ?float $noseLiftMm,
    ) {
    }

    /** @return list<self> */
    public static function in(Circuit $circuit, Choices $choices, Simulations $fills): array
    {
        $neck = $circuit->nodes[$circuit->fillPort()->node];
        $never = [];
        foreach ($fills->of(PlannedPour::atTheNeck($circuit, $choices->bleedsOf($circuit)))->silent as $silent) {
            $node = $circuit->nodes[$circuit->ports[$silent->port]->node];
            $missing = $silent->missingMm;
            $lift = $neck->xMm > $node->xMm ? $missing * $circuit->wheelbaseMm / ($neck->xMm - $node->xMm) : null;
            $low = $missing > 0.0;
            $never[] = new self(
                $silent,
                $low ? $missing : null,
                $low && $lift !== null && $lift <= self::MOST_LIFT_MM ? $lift : null,
            );
        }

        return $never;
    }
}
