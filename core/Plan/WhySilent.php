<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Silence;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;

/** Why a bleed point does not run by itself, and what would cure it. */
final class WhySilent
{
    public static function of(SilentPort $silent, Circuit $circuit, UnitSystem $units): string
    {
        $about = $silent->about ?? '';

        return match ($silent->because) {
            Silence::Above => 'It lies '.$units->format($silent->missingMm, Dimension::Length)
                .' above the surface: raise the nose or set a funnel that high.',
            Silence::Hump => self::humps($circuit, $about).' seals first and keeps the air between: '
                .self::vents($circuit, $about),
            Silence::Trapped => 'Air stays in '.($circuit->passages[$about]->label ?? 'the passage to it')
                .' before coolant gets there: squeeze that hose while pouring, crack the point under pressure, or '
                    .'fill with vacuum.',
            Silence::Shared => ($circuit->ports[$about]->label ?? 'The point beside it')
                .' sits at the same place and runs for both: leave this one shut.',
            Silence::CutOff => 'Nothing open leads to it: set the heater to hot and open what is shut on the way.',
        };
    }

    private static function humps(Circuit $circuit, string $node): string
    {
        $label = $circuit->nodes[$node]->label ?? '';

        return $label === '' ? 'A hump below it' : "The hump at {$label}";
    }

    private static function vents(Circuit $circuit, string $node): string
    {
        foreach ($circuit->portsOf(PortKind::Bleed) as $port) {
            if ($port->node === $node) {
                return "open {$port->label} too.";
            }
        }

        return 'pour slowly, squeeze the hoses there, raise that end, or fill with vacuum.';
    }
}
