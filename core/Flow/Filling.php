<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;

/**
 * A slow pour into a circuit that is empty, or that keeps what no drain let out: what it accepts, which ports run when,
 * where air stays.
 */
final readonly class Filling
{
    public const OPEN_AIR = 0;

    public const COOLANT = 1;

    public const TRAPPED = 2;

    /**
     * @param  list<PortRun>  $flows  in the order the ports run
     * @param  list<Pocket>  $pockets  largest first
     * @param  list<SilentPort>  $silent  ports left open that did not run
     */
    private function __construct(
        public float $capacityMl,
        public float $acceptedMl,
        public float $airMl,
        public float $headspaceMl,
        public array $flows,
        public array $pockets,
        public Runs $runs,
        public array $silent,
    ) {
    }

    /**
     * @param  string  $at  port poured into
     * @param  list<string>  $open  ports left open; each is closed as it runs
     * @param  list<string>  $openGates
     * @param  float  $headMm  surface above the fill port, negative below
     * @param  ?float  $volumeMl  stop after so much, for a pour in progress
     * @param  Volumes  $inside  what stands in it before, in the lowest of each passage
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
        Volumes $inside = new Volumes,
    ): self {
        $mesh = new Mesh($circuit, $openGates, $noseLiftMm, $coarseness);
        $source = $mesh->portCell($at, 'at');
        $openPorts = [$source => $at];
        foreach ($open as $i => $port) {
            $openPorts[$mesh->portCell($port, "open.{$i}")] ??= $port;
        }
        $surface = $mesh->height[$source] + $headMm;
        $pour = new Pour($mesh, $source, $openPorts, $surface, $mesh->lowest($inside, $surface));
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
        $pockets = array_merge(
            array_map(fn (array $p) => self::pocket($mesh, $p['cells'], false), $settled),
            $openPockets,
        );
        $pockets = array_values(array_filter($pockets, fn (Pocket $p) => $p->volumeMl() > 1.0e-6));
        usort($pockets, fn (Pocket $a, Pocket $b) => $b->volumeMl() <=> $a->volumeMl());
        $air = array_sum(array_map(fn (Pocket $p) => $p->volumeMl(), $pockets));
        $flows = array_values(array_filter($pour->flows, fn (PortRun $f) => $f->port !== $at));

        return new self(
            $circuit->capacityMl(),
            $circuit->capacityMl() - $air - $headspace,
            $air,
            $headspace,
            $flows,
            $pockets,
            $mesh->runs($state),
            (new Silences($mesh, $pour))->of($open),
        );
    }

    /**
     * @param  array<int, float>  $cells  air volume per cell
     */
    private static function pocket(Mesh $mesh, array $cells, bool $open): Pocket
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

        return new Pocket(new Volumes($passages), $open, $highest);
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
     * @return array{list<Pocket>, float} open pockets and headspace
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
                $loose[$cell] = $mesh->volume[$cell];
            }
        }
        $pockets = array_map(fn (array $cells) => self::pocket($mesh, $cells, true), $mesh->components($loose));

        return [$pockets, $headspace];
    }
}
