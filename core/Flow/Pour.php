<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/**
 * The pour itself, quasi-static. Air is connected through dry cells; air with no way to an open port is trapped from
 * then on, takes no liquid and lets none run through. A passage is straight, so its dry cells are always one interval:
 * air connectivity is kept on those intervals and redone only where a cell with several dry neighbours, or an open
 * port, becomes wet.
 */
final class Pour
{
    /** @var array<int, int> of each cell, as in Filling */
    public array $state;

    /** @var list<PortRun> */
    public array $flows = [];

    private Flood $flood;

    private float $poured = 0.0;

    /** @var array<int, true> coolant the source still feeds: what lies dry beside it waits to be reached */
    private array $fed = [];

    /** @var list<array<int, float>> trapped cells with their volumes, by pocket */
    private array $pockets = [];

    /** @var array<string, array{int, int}> dry interval of each passage; empty when first > last */
    private array $dry;

    /** @var array<int, true> coolant that stood inside before and that the source has not come to */
    private array $apart;

    /** @var array<string, true> passages whose dry interval is trapped */
    private array $trappedPassage = [];

    /**
     * @param  array<int, string>  $openPorts  port by node cell
     * @param  array<int, true>  $inside  cells in which coolant stands before anything is poured
     */
    public function __construct(
        public readonly Mesh $mesh,
        public readonly int $source,
        private array $openPorts,
        public readonly float $surface,
        array $inside = [],
    ) {
        $this->state = array_fill(0, $mesh->size(), Filling::OPEN_AIR);
        $free = array_fill(0, $mesh->size(), true);
        foreach ($inside as $cell => $_) {
            $this->state[$cell] = Filling::COOLANT;
            $free[$cell] = false;
        }
        $this->apart = $inside;
        $this->dry = array_map(fn (array $range) => self::dryOf($range, $inside), $mesh->range);
        $this->flood = new Flood($mesh->height, $mesh->neighbours, $free);
    }

    public function run(?float $stopAfterMl): void
    {
        $this->trapWhatIsCutOff();
        if (isset($this->apart[$this->source])) {
            $this->feed($this->source);
        } else {
            $this->flood->reach($this->source);
        }
        $enough = $stopAfterMl ?? INF;
        while ($this->poured < $enough && ($cell = $this->flood->next($this->surface)) !== null) {
            if (isset($this->mesh->level[$cell])) {
                $this->wetLevel($this->levelWith($cell), $enough);
            } else {
                $this->wet($cell);
            }
        }
    }

    /** @return list<array{cells: array<int, float>, leaves: list<int>}> as they were when trapped */
    public function trappedPockets(): array
    {
        return array_map(fn (array $cells) => ['cells' => $cells, 'leaves' => []], $this->pockets);
    }

    /**
     * Wet cells of the liquid body that is joined to the fill surface, pools behind a saddle it runs over included.
     *
     * @return array<int, true>
     */
    public function body(): array
    {
        $body = [];
        $seen = [$this->source => true];
        $stack = [$this->source];
        while ($stack !== []) {
            $cell = array_pop($stack);
            $wet = $this->state[$cell] === Filling::COOLANT;
            if ($wet) {
                $body[$cell] = true;
            }
            foreach ($this->mesh->neighbours[$cell] as $next) {
                $downhill = $this->mesh->height[$next] <= ($wet ? $this->surface : $this->mesh->height[$cell]);
                $through = $this->state[$next] === Filling::COOLANT
                    || ($this->state[$next] === Filling::OPEN_AIR && $downhill);
                if ($through && ! isset($seen[$next]) && ! isset($this->apart[$next])) {
                    $seen[$next] = true;
                    $stack[] = $next;
                }
            }
        }

        return $body;
    }

    private function wet(int $cell): void
    {
        $ran = $this->pourInto($cell);
        $dryNeighbours = 0;
        foreach ($this->mesh->neighbours[$cell] as $next) {
            $dryNeighbours += $this->state[$next] === Filling::OPEN_AIR ? 1 : 0;
        }
        if ($dryNeighbours > 1 || ($ran && $dryNeighbours > 0)) {
            $this->trapWhatIsCutOff();
        }
    }

    /**
     * A level run is not sealed by its ends becoming wet together: coolant comes in along its floor and the air goes
     * out above it, so nothing is cut off before all of it is wet, whichever end the coolant comes from.
     *
     * @param  list<int>  $cells
     */
    private function wetLevel(array $cells, float $enough): void
    {
        $order = fn (int $cell): array => [round($this->mesh->own[$cell], 6), $this->mesh->passageOf[$cell] === ''];
        usort($cells, fn (int $a, int $b) => $order($a) <=> $order($b));
        foreach ($cells as $cell) {
            if ($this->poured < $enough) {
                $this->flood->take($cell);
                $this->pourInto($cell);
            }
        }
        $this->trapWhatIsCutOff();
    }

    /** @return bool whether a port ran */
    private function pourInto(int $cell): bool
    {
        $this->state[$cell] = Filling::COOLANT;
        $this->fed[$cell] = true;
        $this->poured += $this->mesh->volume[$cell];
        $passage = $this->mesh->passageOf[$cell];
        if ($passage !== '') {
            [$first, $last] = $this->dry[$passage];
            $this->dry[$passage] = $cell === $first ? [$first + 1, $last] : [$first, $last - 1];
        }
        foreach ($this->mesh->neighbours[$cell] as $next) {
            if ($this->state[$next] === Filling::COOLANT && ! isset($this->fed[$next])) {
                $this->feed($next);
            }
        }
        $ran = false;
        foreach ($this->openPorts as $port => $name) {
            if (isset($this->fed[$port]) && $this->mesh->height[$port] <= $this->mesh->height[$cell]) {
                $this->flows[] = new PortRun($name, $this->poured);
                unset($this->openPorts[$port]);
                $ran = true;
            }
        }

        return $ran;
    }

    /**
     * Marks air that lost its last open port; then what is reachable is found anew, for trapped air lets nothing
     * through.
     */
    private function trapWhatIsCutOff(): void
    {
        $open = $this->openPassagesAndNodes();
        $newly = [];
        foreach ($this->mesh->circuit->passages as $id => $passage) {
            [$first, $last] = $this->dry[$id];
            if ($first <= $last && ! isset($this->trappedPassage[$id]) && ! isset($open[$id])) {
                $this->trappedPassage[$id] = true;
                for ($cell = $first; $cell <= $last; $cell++) {
                    $newly[$cell] = $this->mesh->volume[$cell];
                }
            }
        }
        foreach ($this->mesh->nodeCell as $cell) {
            if ($this->state[$cell] === Filling::OPEN_AIR && ! isset($open[$cell])) {
                $newly[$cell] = 0.0;
            }
        }
        if ($newly === []) {
            return;
        }
        foreach ($newly as $cell => $_) {
            $this->state[$cell] = Filling::TRAPPED;
            $this->flood->free[$cell] = false;
        }
        foreach ($this->mesh->components($newly) as $pocket) {
            $this->pockets[] = $pocket;
        }
        $this->flood->forget();
        $this->reachAnew();
    }

    /** @return array<int|string, true> node cells and passage ids whose dry part an open port gives air */
    private function openPassagesAndNodes(): array
    {
        $stack = [];
        $open = [];
        foreach ($this->openPorts as $cell => $_) {
            if ($this->state[$cell] === Filling::OPEN_AIR) {
                $stack[] = $cell;
                $open[$cell] = true;
            }
        }
        while ($stack !== []) {
            foreach ($this->mesh->neighbours[array_pop($stack)] as $next) {
                $id = $this->mesh->passageOf[$next];
                if ($this->state[$next] !== Filling::OPEN_AIR || isset($open[$id])) {
                    continue;
                }
                $open[$id] = true;
                [$first, $last] = $this->dry[$id];
                foreach ([$first, $last] as $end) {
                    foreach ($this->mesh->neighbours[$end] as $node) {
                        if (
                            $this->mesh->passageOf[$node] === ''
                            && $this->state[$node] === Filling::OPEN_AIR
                            && ! isset($open[$node])
                        ) {
                            $open[$node] = true;
                            $stack[] = $node;
                        }
                    }
                }
            }
        }

        return $open;
    }

    private function reachAnew(): void
    {
        $this->fed = [];
        if ($this->state[$this->source] === Filling::OPEN_AIR) {
            $this->flood->reach($this->source);
        }
        foreach ($this->body() as $cell => $_) {
            if (! isset($this->fed[$cell])) {
                $this->feed($cell);
            }
        }
    }

    /** Joins a pool to what the source feeds: it rises at every leg that still has air. */
    private function feed(int $pool): void
    {
        $this->fed[$pool] = true;
        unset($this->apart[$pool]);
        $stack = [$pool];
        while ($stack !== []) {
            foreach ($this->mesh->neighbours[array_pop($stack)] as $next) {
                if ($this->flood->free[$next]) {
                    $this->flood->offer($next);
                } elseif ($this->state[$next] === Filling::COOLANT && ! isset($this->fed[$next])) {
                    $this->fed[$next] = true;
                    unset($this->apart[$next]);
                    $stack[] = $next;
                }
            }
        }
    }

    /**
     * Coolant stands at the lower end of a passage, and air above it.
     *
     * @param  array{int, int}  $range
     * @param  array<int, true>  $inside
     * @return array{int, int}
     */
    private static function dryOf(array $range, array $inside): array
    {
        [$first, $last] = $range;
        while ($first <= $last && isset($inside[$first])) {
            $first++;
        }
        while ($first <= $last && isset($inside[$last])) {
            $last--;
        }

        return [$first, $last];
    }

    /** @return list<int> the cell, and the dry ones that hang together with it at its height, from a node on */
    private function levelWith(int $cell): array
    {
        $level = $this->levelFrom($cell);
        foreach ($level as $one) {
            if ($this->mesh->passageOf[$one] === '') {
                return $this->levelFrom($one);
            }
        }

        return $level;
    }

    /** @return list<int> this cell and the dry ones joined to it at its height, nearest first */
    private function levelFrom(int $cell): array
    {
        $cells = [$cell];
        $seen = [$cell => true];
        for ($i = 0; $i < count($cells); $i++) {
            foreach ($this->mesh->neighbours[$cells[$i]] as $next) {
                if ($this->state[$next] === Filling::OPEN_AIR && ! isset($seen[$next])
                    && abs($this->mesh->height[$next] - $this->mesh->height[$cell]) < Flood::FLAT) {
                    $seen[$next] = true;
                    $cells[] = $next;
                }
            }
        }

        return $cells;
    }
}
