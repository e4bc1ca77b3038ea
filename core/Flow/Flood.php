<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/**
 * Spreads over free cells, the lowest reachable one first: downhill from the seeds, then over full pools by their
 * lowest free neighbour. A cell that still has a lower free neighbour is passed over, not taken. Coolant spreads this
 * way on heights; trapped air spreads the same way on heights turned upside down.
 */
final class Flood
{
    /** Heights nearer to each other than this are one, mm. */
    public const FLAT = 1.0e-9;

    /** @var array<int, true> cells of level runs that are known to have no way down; one never opens later */
    private array $flat = [];

    /** @var \SplPriorityQueue<float, int> */
    private \SplPriorityQueue $candidates;

    /**
     * @param  list<float>|array<int, float>  $key  what is minimised, per cell
     * @param  list<list<int>>  $neighbours
     * @param  array<int, bool>  $free  cells that may still be taken
     */
    public function __construct(private array $key, private array $neighbours, public array $free)
    {
        $this->candidates = new \SplPriorityQueue;
    }

    /** Makes a cell and everything downhill of it reachable. */
    public function reach(int $cell): void
    {
        $this->candidates->insert($cell, -$this->key[$cell]);
        $this->explore($cell);
    }

    /** Makes a cell a candidate for when the level gets there; what is downhill of it waits until then. */
    public function offer(int $cell): void
    {
        $this->candidates->insert($cell, -$this->key[$cell]);
    }

    /** Forgets what was reachable; what is taken stays taken. */
    public function forget(): void
    {
        $this->candidates = new \SplPriorityQueue;
    }

    /** The next cell to take, or null when none is left at or below the limit. The cell is then no longer free. */
    public function next(float $limit): ?int
    {
        while (! $this->candidates->isEmpty()) {
            /** @var int $cell */
            $cell = $this->candidates->extract();
            if (! $this->free[$cell] || $this->key[$cell] > $limit) {
                continue;
            }
            if ($this->explore($cell)) {
                $this->candidates->insert($cell, -$this->key[$cell]);

                continue;
            }
            $this->take($cell);

            return $cell;
        }

        return null;
    }

    /** Takes a cell out of turn, or the next one; what lies free beside it becomes a candidate. */
    public function take(int $cell): void
    {
        $this->free[$cell] = false;
        foreach ($this->neighbours[$cell] as $neighbour) {
            if ($this->free[$neighbour]) {
                $this->candidates->insert($neighbour, -$this->key[$neighbour]);
            }
        }
    }

    /** Adds the lowest points downhill of a cell; true when there is one below the cell itself. */
    private function explore(int $from): bool
    {
        if (isset($this->flat[$from])) {
            return false;
        }
        $stack = [$from];
        $seen = [$from => true];
        $below = false;
        while ($stack !== []) {
            $cell = array_pop($stack);
            $own = $this->key[$cell];
            $lowest = true;
            foreach ($this->neighbours[$cell] as $neighbour) {
                if (! $this->free[$neighbour] || $this->key[$neighbour] > $own + self::FLAT) {
                    continue;
                }
                $lower = $this->key[$neighbour] < $own - self::FLAT;
                $lowest = $lowest && ! $lower;
                if (! isset($seen[$neighbour])) {
                    $seen[$neighbour] = true;
                    $stack[] = $neighbour;
                }
            }
            if ($lowest && $own < $this->key[$from] - self::FLAT) {
                $below = true;
                $this->candidates->insert($cell, -$own);
            }
        }

        if (! $below && count($seen) > 1) {
            foreach ($seen as $cell => $_) {
                $this->flat[$cell] = true;
            }
        }

        return $below;
    }
}
