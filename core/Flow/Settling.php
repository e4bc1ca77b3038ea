<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Matter\Column;

/**
 * Trapped air finding its equilibrium: the flood turned upside down. A cell's level is its own height in the liquid
 * body joined to the fill surface, and in trapped air the least height liquid must climb from that body to get there.
 * Each pocket takes the highest levels it can reach, spills under dips into the next hump, and what meets open air is
 * gone.
 */
final class Settling
{
    /** @var array<int, float> */
    private array $level = [];

    public function __construct(
        private readonly Mesh $mesh,
        private readonly Pour $pour,
        private readonly float $barometerKpa,
    ) {
    }

    /** @return list<array{cells: array<int, float>, leaves: list<int>}> air per cell, and the cells it gave back */
    public function run(): array
    {
        $body = $this->pour->body();
        $this->findLevels($body);
        $free = [];
        $key = [];
        foreach ($this->pour->state as $cell => $state) {
            $free[$cell] = isset($body[$cell]) || $state === Filling::OPEN_AIR;
            $key[$cell] = -($this->level[$cell] ?? $this->mesh->height[$cell]);
        }
        $settled = [];
        $pockets = array_column($this->pour->trappedPockets(), 'cells');
        usort($pockets, fn (array $a, array $b) => $this->highestLevel($b) <=> $this->highestLevel($a));
        foreach ($pockets as $pocket) {
            if (! isset($this->level[array_key_first($pocket)])) {
                $settled[] = ['cells' => $pocket, 'leaves' => []];

                continue;
            }
            foreach ($pocket as $cell => $_) {
                $free[$cell] = true;
            }
            $cells = $this->settle($pocket, $key, $free);
            foreach ($cells as $cell => $_) {
                $free[$cell] = false;
            }
            $settled[] = [
                'cells' => $cells, 'leaves' => array_values(array_diff(array_keys($pocket), array_keys($cells))),
            ];
        }

        return $settled;
    }

    /**
     * @param  array<int, float>  $pocket
     * @param  array<int, float>  $key
     * @param  array<int, bool>  $free
     * @return array<int, float>
     */
    private function settle(array $pocket, array $key, array $free): array
    {
        $trapped = array_sum($pocket);
        $top = (int) array_key_first($pocket);
        foreach ($pocket as $cell => $_) {
            $top = $key[$cell] < $key[$top] ? $cell : $top;
        }
        $flood = new Flood($key, $this->mesh->neighbours, $free);
        $flood->reach($top);
        $cells = [];
        $taken = 0.0;
        while (($cell = $flood->next(INF)) !== null) {
            if ($this->pour->state[$cell] === Filling::OPEN_AIR) {
                break;
            }
            $left = $trapped * $this->compression(-$key[$cell]) - $taken;
            if ($left <= 0.0) {
                break;
            }
            $cells[$cell] = min($left, $this->mesh->volume[$cell]);
            $taken += $cells[$cell];
        }

        return $cells;
    }

    /** Boyle: p_atm/(p_atm + ρ·g·depth), depth below the fill surface and never negative. */
    private function compression(float $level): float
    {
        return $this->barometerKpa / ($this->barometerKpa + Column::kPa(max(0.0, $this->pour->surface - $level)));
    }

    /** @param  array<int, true>  $body */
    private function findLevels(array $body): void
    {
        /** @var \SplPriorityQueue<float, int> $queue */
        $queue = new \SplPriorityQueue;
        foreach ($body as $cell => $_) {
            $this->level[$cell] = $this->mesh->height[$cell];
            $queue->insert($cell, -$this->level[$cell]);
        }
        while (! $queue->isEmpty()) {
            /** @var int $cell */
            $cell = $queue->extract();
            foreach ($this->mesh->neighbours[$cell] as $next) {
                if ($this->pour->state[$next] !== Filling::TRAPPED) {
                    continue;
                }
                $level = max($this->level[$cell], $this->mesh->height[$next]);
                if (! isset($this->level[$next]) || $level < $this->level[$next]) {
                    $this->level[$next] = $level;
                    $queue->insert($next, -$level);
                }
            }
        }
    }

    /** @param  array<int, float>  $pocket */
    private function highestLevel(array $pocket): float
    {
        return max(
            [
                -INF,
                ...array_map(fn (int $cell) => $this->level[$cell] ?? $this->mesh->height[$cell], array_keys($pocket)),
            ],
        );
    }
}
