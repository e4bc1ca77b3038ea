<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Node;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\InvalidField;

/**
 * The circuit cut into cells of at most 5 mm height and 20 mL. The first cells are the nodes, without volume; a
 * passage's cells follow in order from its `from` end. Everything is measured at cell centres after the tilt.
 */
final readonly class Mesh
{
    public const CELL_MM = 5.0;

    public const CELL_ML = 20.0;

    /** A run that rises by less is level: no hose is so narrow that it would decide (common practice, no source). */
    public const LEVEL_MM = 2.0;

    /** @var list<float> mm; the nodes of level runs stand at one height */
    public array $height;

    /** @var list<float> mm, as drawn: which end of a level run is the lower one */
    public array $own;

    /** @var list<float> */
    public array $volume;

    /** @var list<list<int>> */
    public array $neighbours;

    /** @var array<string, int> */
    public array $nodeCell;

    /** @var array<string, array{int, int}> first and last cell of each passage */
    public array $range;

    /** @var array<int, true> cells of level runs, and the nodes at their ends */
    public array $level;

    /** @var list<string> passage of each cell; '' for a node */
    public array $passageOf;

    /**
     * @param  list<string>  $openGates
     * @param  float  $coarseness  1 for the standard cells, 0.5 for cells half as large
     */
    public function __construct(
        public Circuit $circuit,
        array $openGates,
        public float $noseLiftMm = 0.0,
        float $coarseness = 1.0,
    ) {
        $cut = self::cutPassages($circuit, $openGates);
        [$height, $volume, $passageOf, $nodeCell, $range, $neighbours] = [[], [], [], [], [], []];
        $exact = array_map(fn (Node $node) => $circuit->heightMm($node->id, $noseLiftMm), $circuit->nodes);
        [$own, $level] = [[], []];
        foreach (self::levelled($circuit, $exact) as $id => $mm) {
            $nodeCell[$id] = count($height);
            $height[] = $mm;
            $own[] = $exact[$id];
            $volume[] = 0.0;
            $passageOf[] = '';
            $neighbours[] = [];
        }
        foreach ($circuit->passages as $id => $passage) {
            [$start, $rise] = [
                $height[$nodeCell[$passage->from]],
                $height[$nodeCell[$passage->to]] - $height[$nodeCell[$passage->from]],
            ];
            $count = max(
                1,
                (int) ceil(abs($rise) / (self::CELL_MM * $coarseness)),
                (int) ceil($passage->volumeMl / (self::CELL_ML * $coarseness)),
            );
            $first = count($height);
            $range[$id] = [$first, $first + $count - 1];
            if (abs($rise) < Flood::FLAT) {
                $ends = [$nodeCell[$passage->from], $nodeCell[$passage->to]];
                $level += array_fill_keys([...$ends, ...range($first, $first + $count - 1)], true);
            }
            for ($i = 0; $i < $count; $i++) {
                $along = ($i + 0.5) / $count;
                $height[] = $start + $rise * $along;
                $own[] = $exact[$passage->from] * (1.0 - $along) + $exact[$passage->to] * $along;
                $volume[] = $passage->volumeMl / $count;
                $passageOf[] = $id;
                $neighbours[] = [];
                if ($i > 0) {
                    $neighbours[$first + $i][] = $first + $i - 1;
                    $neighbours[$first + $i - 1][] = $first + $i;
                }
            }
            if (! isset($cut[$id])) {
                $neighbours[$nodeCell[$passage->from]][] = $first;
                $neighbours[$first][] = $nodeCell[$passage->from];
            }
            $neighbours[$nodeCell[$passage->to]][] = $first + $count - 1;
            $neighbours[$first + $count - 1][] = $nodeCell[$passage->to];
        }
        $this->height = $height;
        $this->own = $own;
        $this->level = $level;
        $this->volume = $volume;
        $this->passageOf = $passageOf;
        $this->nodeCell = $nodeCell;
        $this->range = $range;
        $this->neighbours = $neighbours;
    }

    public function portCell(string $port, string $field): int
    {
        return $this->nodeCell[$this->circuit->port($port, $field)->node];
    }

    public function size(): int
    {
        return count($this->height);
    }

    /**
     * Cells in which coolant stands that drains left, in the lowest of each passage, and the nodes between them.
     *
     * @param  float  $surface  above which none stands in a vessel that is open to the air
     * @return array<int, true>
     */
    public function lowest(Volumes $inside, float $surface): array
    {
        $wet = [];
        foreach ($inside->toArray() as $id => $left) {
            [$first, $last] = $this->range[$id];
            $open = $this->circuit->passages[$id]->hasHeadspace();
            foreach ($this->height[$first] <= $this->height[$last] ? range($first, $last) : range($last, $first) as $cell) {
                $left -= $this->volume[$cell];
                if ($left < -0.5 * $this->volume[$cell] || ($open && $this->height[$cell] > $surface)) {
                    break;
                }
                $wet[$cell] = true;
            }
        }
        foreach ($wet === [] ? [] : $this->nodeCell as $node) {
            if ($this->neighbours[$node] !== [] && array_diff_key(array_flip($this->neighbours[$node]), $wet) === []) {
                $wet[$node] = true;
            }
        }

        return $wet;
    }

    /**
     * Cells that hang together, apart from one another.
     *
     * @param  array<int, float>  $cells
     * @return list<array<int, float>>
     */
    public function components(array $cells): array
    {
        $components = [];
        while ($cells !== []) {
            $stack = [array_key_first($cells)];
            $component = [];
            while ($stack !== []) {
                $cell = array_pop($stack);
                if (! isset($cells[$cell])) {
                    continue;
                }
                $component[$cell] = $cells[$cell];
                unset($cells[$cell]);
                foreach ($this->neighbours[$cell] as $next) {
                    if (isset($cells[$next])) {
                        $stack[] = $next;
                    }
                }
            }
            $components[] = $component;
        }

        return $components;
    }

    /**
     * Stretches of like cells along each passage, for drawing.
     *
     * @param  list<int>|array<int, int>  $state  of each cell, as in CellState
     */
    public function runs(array $state): Runs
    {
        $runs = [];
        foreach ($this->range as $passage => [$first, $last]) {
            $count = $last - $first + 1;
            $from = $first;
            for ($cell = $first; $cell <= $last; $cell++) {
                if ($cell === $last || $state[$cell + 1] !== $state[$cell]) {
                    $runs[$passage][] = new Run(
                        ($from - $first) / $count,
                        ($cell + 1 - $first) / $count,
                        CellState::from($state[$cell]),
                    );
                    $from = $cell + 1;
                }
            }
        }

        return new Runs($runs);
    }

    /**
     * The same with nodes that level runs join at their mean height.
     *
     * @param  array<string, float>  $heights  mm, by node
     * @return array<string, float>
     */
    private static function levelled(Circuit $circuit, array $heights): array
    {
        $group = array_combine(array_keys($heights), array_keys($heights));
        foreach ($circuit->passages as $passage) {
            [$one, $other] = [$group[$passage->from], $group[$passage->to]];
            if ($one !== $other && abs($heights[$passage->from] - $heights[$passage->to]) <= self::LEVEL_MM) {
                foreach (array_keys($group, $other, true) as $node) {
                    $group[$node] = $one;
                }
            }
        }
        foreach (array_unique($group) as $one) {
            $joined = array_intersect_key($heights, array_flip(array_keys($group, $one, true)));
            if ($joined !== [] && max($joined) - min($joined) <= self::LEVEL_MM) {
                $heights = array_replace(
                    $heights,
                    array_fill_keys(array_keys($joined), array_sum($joined) / count($joined)),
                );
            }
        }

        return $heights;
    }

    /**
     * Passages that a shut gate keeps from the node they begin at.
     *
     * @param  list<string>  $openGates
     * @return array<string, true>
     *
     * @throws InvalidField naming an unknown gate
     */
    public static function cutPassages(Circuit $circuit, array $openGates): array
    {
        foreach ($openGates as $i => $id) {
            if (! isset($circuit->gates[$id])) {
                throw new InvalidField("open_gates.{$i}", "There is no gate “{$id}” in this circuit.");
            }
        }
        $cut = [];
        foreach ($circuit->gates as $gate) {
            if (! $gate->weeps && ! in_array($gate->id, $openGates, true)) {
                $cut[$gate->passage] = true;
            }
        }

        return $cut;
    }
}
