<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Circuit;

/** Where a known content, or a known rest of air, stands. */
final class Standing
{
    /** Coolant in an evacuated circuit: with no air to hold it up anywhere, a content stands in the lowest cells. */
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

    /**
     * A fill with no more trapped air than this: what the model keeps and is not there is coolant, the lowest of it
     * first.
     */
    public static function withAir(Circuit $circuit, Runs $runs, float $airMl): Runs
    {
        $mesh = new Mesh($circuit, array_keys($circuit->gates));
        $state = array_fill(0, $mesh->size(), Filling::COOLANT);
        $trapped = [];
        foreach ($mesh->range as $passage => [$first, $last]) {
            foreach ($runs->of($passage) as $run) {
                [$from, $to] = [
                    $first + (int) round($run->from * ($last - $first + 1)),
                    $first + (int) round($run->to * ($last - $first + 1)),
                ];
                for ($cell = $from; $cell < $to; $cell++) {
                    $state[$cell] = $run->state === CellState::Air ? Filling::OPEN_AIR : Filling::COOLANT;
                    $trapped += $run->state === CellState::Trapped ? [$cell => $mesh->height[$cell]] : [];
                }
            }
        }
        arsort($trapped);
        foreach (array_keys($trapped) as $cell) {
            $airMl -= $mesh->volume[$cell];
            if ($airMl < 0.0) {
                break;
            }
            $state[$cell] = Filling::TRAPPED;
        }

        return $mesh->runs($state);
    }
}
