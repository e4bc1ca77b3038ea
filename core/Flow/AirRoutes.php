<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Passage;

/** By which way open air leaves while coolant rises: along what is dry, to the nearest port that is open. */
final class AirRoutes
{
    /**
     * @param  list<string>  $open  ports through which air can leave
     * @return array<string, AirRoute> by passage; what no open port gives air is not among them
     */
    public static function of(Circuit $circuit, Runs $runs, array $open): array
    {
        $cut = Mesh::cutPassages($circuit, $circuit->usualGates());
        [$distance, $leads, $routes, $seen] = [[], [], [], []];
        foreach ($open as $port) {
            $distance[$circuit->ports[$port]->node] = 0.0;
            $leads[$circuit->ports[$port]->node] ??= $port;
        }
        while (($ahead = array_diff_key($distance, $seen)) !== []) {
            $node = (string) array_search(min($ahead), $ahead, true);
            $seen[$node] = true;
            foreach ($circuit->passages as $id => $passage) {
                if (! self::givesAir($passage, $node, $runs->of($id), isset($cut[$id]))) {
                    continue;
                }
                $routes[$id] ??= new AirRoute($id, $node, $leads[$node]);
                $other = $passage->from === $node ? $passage->to : $passage->from;
                $length = $distance[$node] + self::lengthMm($circuit, $passage);
                if (self::isDry($runs->of($id)) && ! isset($cut[$id]) && $length < ($distance[$other] ?? INF)) {
                    [$distance[$other], $leads[$other]] = [$length, $leads[$node]];
                }
            }
        }

        return $routes;
    }

    /**
     * Whether air stands in it at this node.
     *
     * @param  list<Run>  $runs
     */
    private static function givesAir(Passage $passage, string $node, array $runs, bool $cut): bool
    {
        $at = match (true) {
            $runs === [] => null,
            $passage->to === $node => $runs[count($runs) - 1],
            $passage->from === $node && ! $cut => $runs[0],
            default => null,
        };

        return $at?->state === CellState::Air;
    }

    /** @param  list<Run>  $runs */
    private static function isDry(array $runs): bool
    {
        return array_filter($runs, fn (Run $run) => $run->state !== CellState::Air) === [];
    }

    private static function lengthMm(Circuit $circuit, Passage $passage): float
    {
        [$a, $b] = [$circuit->nodes[$passage->from], $circuit->nodes[$passage->to]];

        return hypot($a->xMm - $b->xMm, $a->zMm - $b->zMm);
    }
}
