<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;

/** A slow pour into an empty circuit: what it accepts, which ports run when, where air stays. */
final readonly class Filling
{
    public const OPEN_AIR = 0;

    public const COOLANT = 1;

    public const TRAPPED = 2;

    /**
     * @param  list<array{port: string, at_ml: float}>  $flows  in the order the ports run
     * @param  list<array{volume_ml: float, open: bool, highest_mm: float, passages: array<string, float>}>  $pockets  largest first
     * @param  array<string, list<array{float, float, int}>>  $runs  for drawing
     */
    private function __construct(
        public float $capacityMl,
        public float $acceptedMl,
        public float $airMl,
        public float $headspaceMl,
        public array $flows,
        public array $pockets,
        public array $runs,
    ) {
    }

    /**
     * @param  string  $at  port poured into
     * @param  list<string>  $open  ports left open; each is closed as it runs
     * @param  list<string>  $openGates
     * @param  float  $headMm  surface above the fill port, negative below
     * @param  ?float  $volumeMl  stop after so much, for a pour in progress
     *
     * @throws InvalidField naming an unknown port or gate
     */
    public static function of(
        Circuit $circuit,
        string $at,
        array $open = [],
        array $openGates = [],
        float $noseLiftMm = 0.0,
        float $headMm = 0.0,
        float $barometerKpa = Atmosphere::SEA_LEVEL_KPA,
        float $coarseness = 1.0,
        ?float $volumeMl = null,
    ): self {
        $mesh = new Mesh($circuit, $openGates, $noseLiftMm, $coarseness);
        $source = $mesh->portCell($at, 'at');
        $openPorts = [$source => $at];
        foreach ($open as $i => $port) {
            $openPorts[$mesh->portCell($port, "open.{$i}")] ??= $port;
        }
        $surface = $mesh->height[$source] + $headMm;
        $pour = new Pour($mesh, $source, $openPorts, $surface);
        $pour->run($volumeMl);
        $settled = $volumeMl === null ? (new Settling($mesh, $pour, $barometerKpa))->run() : $pour->trappedPockets();
        $state = $pour->state;
        foreach ($settled as $pocket) {
            foreach ($pocket['leaves'] as $cell) {
                $state[$cell] = self::COOLANT;
            }
        }
        foreach ($settled as $pocket) {
            foreach ($pocket['cells'] as $cell => $_) {
                $state[$cell] = self::TRAPPED;
            }
        }
        [$openPockets, $headspace] = self::openAir($mesh, $pour->state);
        $pockets = array_merge(array_map(fn (array $p) => self::pocket($mesh, $p['cells'], false), $settled), $openPockets);
        $pockets = array_values(array_filter($pockets, fn (array $p) => $p['volume_ml'] > 1.0e-6));
        usort($pockets, fn (array $a, array $b) => $b['volume_ml'] <=> $a['volume_ml']);
        $air = array_sum(array_column($pockets, 'volume_ml'));

        return new self($circuit->capacityMl(), $circuit->capacityMl() - $air - $headspace, $air, $headspace,
            array_values(array_filter($pour->flows, fn (array $f) => $f['port'] !== $at)), $pockets, $mesh->runs($state));
    }

    /**
     * The gates a technician opens for a fill: everything but the thermostat.
     *
     * @return list<string>
     */
    public static function usualGates(Circuit $circuit): array
    {
        return [...$circuit->gatesOf('heater_valve'), ...$circuit->gatesOf('valve')];
    }

    /**
     * Bleed points that did not run in this pour.
     *
     * @return list<Port>
     */
    public function silent(Circuit $circuit): array
    {
        $ran = array_column($this->flows, 'port');

        return array_values(array_filter($circuit->portsOf('bleed'), fn (Port $p) => ! in_array($p->id, $ran, true)));
    }

    /**
     * @param  array<int, float>  $cells  air volume per cell
     * @return array{volume_ml: float, open: bool, highest_mm: float, passages: array<string, float>}
     */
    private static function pocket(Mesh $mesh, array $cells, bool $open): array
    {
        $passages = [];
        $highest = -INF;
        foreach ($cells as $cell => $volume) {
            $passage = $mesh->passageOf[$cell];
            if ($passage !== '') {
                $passages[$passage] = ($passages[$passage] ?? 0.0) + $volume;
            }
            // A cell's top, not its centre: half the passage's rise over its cells above the centre.
            $highest = max($highest, $mesh->height[$cell] + self::halfRise($mesh, $cell));
        }

        return ['volume_ml' => array_sum($passages), 'open' => $open, 'highest_mm' => $highest, 'passages' => $passages];
    }

    private static function halfRise(Mesh $mesh, int $cell): float
    {
        $id = $mesh->passageOf[$cell];
        if ($id === '') {
            return 0.0;
        }
        [$first, $last] = $mesh->range[$id];
        $passage = $mesh->circuit->passages[$id];
        $rise = $mesh->height[$mesh->nodeCell[$passage->to]] - $mesh->height[$mesh->nodeCell[$passage->from]];

        return abs($rise) / ($last - $first + 1) / 2.0;
    }

    /**
     * @param  list<int>|array<int, int>  $state
     * @return array{list<array{volume_ml: float, open: bool, highest_mm: float, passages: array<string, float>}>, float} open pockets and headspace
     */
    private static function openAir(Mesh $mesh, array $state): array
    {
        $headspace = 0.0;
        $loose = [];
        foreach ($state as $cell => $what) {
            if ($what !== self::OPEN_AIR) {
                continue;
            }
            $passage = $mesh->passageOf[$cell];
            if ($passage !== '' && $mesh->circuit->passages[$passage]->hasHeadspace()) {
                $headspace += $mesh->volume[$cell];
            } else {
                $loose[$cell] = true;
            }
        }
        $pockets = [];
        while ($loose !== []) {
            $stack = [array_key_first($loose)];
            $cells = [];
            unset($loose[$stack[0]]);
            while ($stack !== []) {
                $cell = array_pop($stack);
                $cells[$cell] = $mesh->volume[$cell];
                foreach ($mesh->neighbours[$cell] as $next) {
                    if (isset($loose[$next])) {
                        unset($loose[$next]);
                        $stack[] = $next;
                    }
                }
            }
            $pockets[] = self::pocket($mesh, $cells, true);
        }

        return [$pockets, $headspace];
    }
}
