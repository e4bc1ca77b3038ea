<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\Volumes;

/**
 * What each drain lets out of a full circuit, and what stays. A wet cell leaves through a drain if some path to it
 * never rises above the cell; what lies behind a hump stays.
 */
final readonly class Drainage
{
    private const SLACK_MM = 0.5;

    /** The engine's own numbers, as in CellState. */
    private const AIR = 0;

    private const COOLANT = 1;

    /**
     * @param  list<DrainedPort>  $drains
     * @param  list<SlowRegion>  $slow
     */
    private function __construct(
        public array $drains,
        public float $drainedMl,
        public float $retainedMl,
        public Volumes $retained,
        public array $slow,
        public Runs $runs,
    ) {
    }

    /**
     * Of a full circuit by these ports, heater valve open, air let in
     * by the fill port alone: what a plan and the bay go by.
     *
     * @param  list<string>  $open  drain ports in the order they are opened
     */
    public static function usual(Circuit $circuit, array $open, float $noseLiftMm): self
    {
        return $circuit->once(
            implode(' ', [__METHOD__, $noseLiftMm, ...$open]),
            fn () => self::of($circuit, $open, $circuit->usualGates(), $noseLiftMm),
        );
    }

    /**
     * @param  list<string>  $open  drain ports in the order they are opened
     * @param  list<string>  $openGates
     * @param  list<string>  $airOpen  ports that let air in besides the fill port
     * @param  array<string, float>  $measured  mL that really came
     * out of a port, where it was less than it could let out
     *
     * @throws \Aqbel\Core\InvalidField naming an unknown port or gate
     */
    public static function of(
        Circuit $circuit,
        array $open,
        array $openGates = [],
        float $noseLiftMm = 0.0,
        array $airOpen = [],
        float $coarseness = 1.0,
        array $measured = [],
    ): self {
        $mesh = new Mesh($circuit, $openGates, $noseLiftMm, $coarseness);
        $state = array_fill(0, $mesh->size(), self::COOLANT);
        $drains = [];
        foreach ($open as $i => $port) {
            $climb = self::leastClimb($mesh, [$mesh->portCell($port, "open.{$i}")], 1.0);
            $leaving = [];
            foreach ($climb as $cell => $level) {
                if ($state[$cell] === self::COOLANT && $level <= $mesh->height[$cell] + self::SLACK_MM) {
                    $leaving[$cell] = $mesh->height[$cell];
                }
            }
            // The level falls: the highest cells empty first, down to what was measured.
            arsort($leaving);
            $volume = 0.0;
            foreach (array_keys($leaving) as $cell) {
                if ($volume >= ($measured[$port] ?? INF)) {
                    break;
                }
                $state[$cell] = self::AIR;
                $volume += $mesh->volume[$cell];
            }
            $drains[] = new DrainedPort($port, $volume);
        }
        $retained = [];
        foreach ($mesh->passageOf as $cell => $passage) {
            if ($state[$cell] === self::COOLANT && $passage !== '') {
                $retained[$passage] = ($retained[$passage] ?? 0.0) + $mesh->volume[$cell];
            }
        }
        $drained = array_sum(array_map(fn (DrainedPort $d) => $d->volumeMl, $drains));

        $stays = max(0.0, $circuit->capacityMl() - $drained);

        return new self(
            $drains,
            $drained,
            $stays,
            new Volumes($retained),
            self::slowRegions($mesh, $state, $airOpen),
            $mesh->runs($state),
        );
    }

    /**
     * A circuit is full to its cold mark, not to the brim: what is air in the tank already comes out of no drain.
     *
     * @param  list<float>  $volumesMl  let out by one drain after the other
     * @return list<float> mL
     */
    public static function belowHeadspace(array $volumesMl, float $headspaceMl): array
    {
        foreach ($volumesMl as $i => $volume) {
            $air = min($headspaceMl, $volume);
            $volumesMl[$i] -= $air;
            $headspaceMl -= $air;
        }

        return $volumesMl;
    }

    /**
     * Minimax path height from the sources to every cell they reach; with sign −1 the deepest dip instead (as
     * a negative).
     *
     * @param  list<int>  $sources
     * @return array<int, float>
     */
    private static function leastClimb(Mesh $mesh, array $sources, float $sign): array
    {
        $best = [];
        $level = -INF;
        /** @var \SplPriorityQueue<float, int> $queue */
        $queue = new \SplPriorityQueue;
        foreach ($sources as $source) {
            $queue->insert($source, -$sign * $mesh->height[$source]);
        }
        while (! $queue->isEmpty()) {
            /** @var int $lowest */
            $lowest = $queue->extract();
            if (isset($best[$lowest])) {
                continue;
            }
            $level = max($level, $sign * $mesh->height[$lowest]);
            $best[$lowest] = $level;
            // All that lies no higher is reached from here; the rest waits for its turn.
            for ($reached = [$lowest]; $reached !== [];) {
                foreach ($mesh->neighbours[array_pop($reached)] as $next) {
                    if (isset($best[$next])) {
                        continue;
                    }
                    if ($sign * $mesh->height[$next] <= $level) {
                        $best[$next] = $level;
                        $reached[] = $next;
                    } else {
                        $queue->insert($next, -$sign * $mesh->height[$next]);
                    }
                }
            }
        }

        return $best;
    }

    /**
     * A region glugs when no path from an air inlet stays above it: air would have to bubble up through the coolant.
     *
     * @param  array<int, int>  $state
     * @param  list<string>  $airOpen
     * @return list<SlowRegion>
     */
    private static function slowRegions(Mesh $mesh, array $state, array $airOpen): array
    {
        $inlets = array_map(fn ($port) => $mesh->nodeCell[$port->node], $mesh->circuit->portsOf(PortKind::Fill));
        foreach ($airOpen as $i => $port) {
            $inlets[] = $mesh->portCell($port, "air_open.{$i}");
        }
        $dip = self::leastClimb($mesh, $inlets, -1.0);
        $starved = [];
        foreach ($state as $cell => $what) {
            if (
                $what === self::AIR
                && $mesh->volume[$cell] > 0.0
                && -($dip[$cell] ?? INF) < $mesh->height[$cell] - self::SLACK_MM
            ) {
                $starved[$mesh->passageOf[$cell]] = true;
            }
        }
        $regions = [];
        foreach (array_keys($starved) as $passage) {
            $ends = [$mesh->circuit->passages[$passage]->from, $mesh->circuit->passages[$passage]->to];
            $joined = array_filter($regions, fn (array $r) => array_intersect($ends, $r['nodes']) !== []);
            $merged = ['passages' => [$passage], 'nodes' => $ends];
            foreach ($joined as $key => $region) {
                $merged = [
                    'passages' => [...$region['passages'], ...$merged['passages']],
                    'nodes' => [...$region['nodes'], ...$merged['nodes']],
                ];
                unset($regions[$key]);
            }
            $regions[] = $merged;
        }

        return array_map(
            fn (array $region) => new SlowRegion($region['passages'], self::highestBleed($mesh, $region['nodes'])),
            array_values($regions),
        );
    }

    /** @param  list<string>  $nodes */
    private static function highestBleed(Mesh $mesh, array $nodes): ?string
    {
        $best = null;
        foreach ($mesh->circuit->portsOf(PortKind::Bleed) as $port) {
            $height = fn (Port $one): float => $mesh->height[$mesh->nodeCell[$one->node]];
            if (in_array($port->node, $nodes, true) && ($best === null || $height($port) > $height($best))) {
                $best = $port;
            }
        }

        return $best?->id;
    }
}
