<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Circuit;

/** Coolant in an evacuated circuit: with no air to hold it up anywhere, a content stands in the lowest cells. */
final class Standing
{
    public static function of(Circuit $circuit, float $contentMl): Runs
    {
        $mesh = new Mesh($circuit, array_keys($circuit->gates));
        $order = $mesh->height;
        asort($order);
        $state = array_fill(0, $mesh->size(), Filling::OPEN_AIR);
        $standing = 0.0;
        foreach (array_keys($order) as $cell) {
            if ($standing + $mesh->volume[$cell] > $contentMl + 1.0e-6) {
                break;
            }
            $standing += $mesh->volume[$cell];
            $state[$cell] = Filling::COOLANT;
        }

        return $mesh->runs($state);
    }
}
