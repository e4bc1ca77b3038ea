<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;

/** Bleed points that a pour leaves open and that do not run in it. */
final class SilentPorts
{
    /** @return list<SilentPort> */
    public static function of(Circuit $circuit, PlannedPour $pour, Simulations $fills): array
    {
        $surface = $circuit->heightMm($circuit->port($pour->at)->node, $pour->noseLiftMm) + $pour->headMm;
        $silent = [];
        foreach ($fills->of($pour)->silent($circuit) as $port) {
            if (in_array($port->id, $pour->open, true)) {
                $silent[] = new SilentPort(
                    $port->id,
                    max(0.0, $circuit->heightMm($port->node, $pour->noseLiftMm) - $surface),
                );
            }
        }

        return $silent;
    }
}
