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

    /** @var list<array<int, float>> trapped cells with their volumes, by pocket */
    private array $pockets = [];

    /** @var array<string, array{int, int}> dry interval of each passage; empty when first > last */
    private array $dry;

    /** @var array<string, true> passages whose dry interval is trapped */
    private array $trappedPassage = [];

    /** @param  array<int, string>  $openPorts port by node cell */
    public function __construct(
        public readonly Mesh $mesh,
        public readonly int $source,
        private array $openPorts,
        public readonly float $surface,
    ) {
        $this->state = array_fill(0, $mesh->size(), Filling::OPEN_AIR);
        $this->dry = $mesh->range;
        $this->flood = new Flood($mesh->height, $mesh->neighbours, array_fill(0, $mesh->size(), true));
    }

    public function run(?float $stopAfterMl): void
    {
        $this->trapWhatIsCutOff();
        $this->flood->reach($this->source);
        while ((
            $stopAfterMl === null || $this->poured < $stopAfterMl
        ) && ($cell = $this->flood->next($this->surface)) !== null) {
            $this->wet($cell);
        }
    }

    /** @return list<array{cells: array<int, float>, leaves: list<int>}> as they were when trapped */
    public function trappedPockets(): array
    {
        return array_map(fn (array $cells) => ['cells' => $cells, 'leaves' => []], $this->pockets);
    }

    /**
     * Wet cells of the liquid body that is joined to the fill surface.
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
                $through = $this->state[$next] === Filling::COOLANT
                    || (
                        ! $wet && $this->state[$next] === Filling::OPEN_AIR && $this->mesh->height[$next] <= $this->mesh->height[$cell]
                    );
                if ($through && ! isset($seen[$next])) {
                    $seen[$next] = true;
                    $stack[] = $next;
                }
            }
        }

        return $body;
    }

    private function wet(int $cell): void
    {
        $this->state[$cell] = Filling::COOLANT;
        $this->poured += $this->mesh->volume[$cell];
        $passage = $this->mesh->passageOf[$cell];
        if ($passage !== '') {
            [$first, $last] = $this->dry[$passage];
            $this->dry[$passage] = $cell === $first ? [$first + 1, $last] : [$first, $last - 1];
        }
        $ran = isset($this->openPorts[$cell]);
        if ($ran) {
            $this->flows[] = new PortRun($this->openPorts[$cell], $this->poured);
            unset($this->openPorts[$cell]);
        }
        $dryNeighbours = 0;
        foreach ($this->mesh->neighbours[$cell] as $next) {
            $dryNeighbours += $this->state[$next] === Filling::OPEN_AIR ? 1 : 0;
        }
        if ($dryNeighbours > 1 || ($ran && $dryNeighbours > 0)) {
            $this->trapWhatIsCutOff();
        }
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
                        if ($this->mesh->passageOf[$node] === '' && $this->state[$node] === Filling::OPEN_AIR && ! isset($open[$node])) {
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
        if ($this->state[$this->source] === Filling::OPEN_AIR) {
            $this->flood->reach($this->source);
        }
        foreach ($this->body() as $cell => $_) {
            foreach ($this->mesh->neighbours[$cell] as $next) {
                if ($this->flood->free[$next]) {
                    $this->flood->offer($next);
                }
            }
        }
    }
}
