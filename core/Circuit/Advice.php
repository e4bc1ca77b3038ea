<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

use Aqbel\Core\InvalidField;

/** What is odd about a circuit that can be read: each point with its place and a remedy. */
final class Advice
{
    private const CAPACITY_OFF = 0.02;

    /** @return list<InvalidField> not thrown: said at the place */
    public static function on(Circuit $circuit): array
    {
        $advice = [];
        $stated = $circuit->facts->capacityMl;
        $sum = $circuit->capacityMl();
        if ($stated !== null && abs($sum - $stated) > self::CAPACITY_OFF * $stated) {
            $advice[] = new InvalidField(
                'facts.capacity_ml',
                sprintf(
                    'The passages add up to %.2f L, the manual says %.2f L. Scale the volumes to the manual, or find '
                        .'the passage that is off.',
                    $sum / 1000,
                    $stated / 1000,
                ),
            );
        }
        if ($circuit->portsOf(PortKind::Drain) === []) {
            $advice[] = new InvalidField('ports', 'There is no drain point. Even a hose end counts as one.');
        }
        $lowest = min([INF, ...array_values(array_map(fn (Node $n) => $n->zMm, $circuit->nodes))]);
        foreach (array_values($circuit->ports) as $i => $port) {
            $height = $circuit->nodes[$port->node]->zMm;
            if ($port->kind === PortKind::Bleed) {
                foreach ($circuit->portsOf(PortKind::Drain) as $drain) {
                    if ($height <= $circuit->nodes[$drain->node]->zMm) {
                        $advice[] = new InvalidField(
                            "ports.{$i}.node",
                            "The bleed point “{$port->label}” lies no higher than the drain “{$drain->label}”. Check "
                                .'both heights.',
                        );
                    }
                }
            }
            if ($port->kind === PortKind::Fill && $height <= $lowest + 1.0) {
                $advice[] = new InvalidField(
                    "ports.{$i}.node",
                    "The fill port “{$port->label}” is the lowest point of the circuit. Check its height.",
                );
            }
        }

        return $advice;
    }
}
