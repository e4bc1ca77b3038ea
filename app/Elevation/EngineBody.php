<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Flow\Runs;

/** The engine as a body: its jackets inside it, heads over blocks, banks beside each other. */
final readonly class EngineBody
{
    /** A jacket with less than this share of the largest is a drilling. */
    private const A_JACKET = 0.15;

    private const WIDTH = 116.0;

    private const WALL = 8.0;

    private const GAP = 6.0;

    /** Two cells stand beside each other where they share this much of the lower one. */
    private const BESIDE = 0.4;

    public function __construct(private Scale $scale, private ?Runs $runs)
    {
    }

    /**
     * @param  list<Passage>  $blocks
     * @param  list<Passage>  $heads
     * @return ?Body null where there is no block
     */
    public function of(array $blocks, array $heads): ?Body
    {
        $largest = max([0.0, ...array_map(fn (Passage $one) => $one->volumeMl, $blocks)]);
        $blocks = array_values(array_filter($blocks, fn (Passage $one) => $one->volumeMl >= self::A_JACKET * $largest));
        $ends = array_merge(...array_map(fn (Passage $one) => [$one->from, $one->to], $blocks), ...[[]]);
        $heads = array_values(
            array_filter(
                $heads,
                fn (Passage $one) => in_array($one->from, $ends, true) || in_array($one->to, $ends, true),
            ),
        );
        if ($blocks === []) {
            return null;
        }
        $xs = array_map(fn (Passage $one) => [$this->scale->node($one->from)[0], $this->scale->node($one->to)[0]], [
            ...$blocks,
            ...$heads,
        ]);
        [$left, $right] = [min(array_merge(...$xs)), max(array_merge(...$xs))];
        $wider = max(0.0, self::WIDTH - ($right - $left)) / 2.0;
        [$left, $right] = [$left - $wider, $right + $wider];
        $cells = [...$this->beside($heads, $left, $right), ...$this->beside($blocks, $left, $right)];
        $top = min([INF, ...array_map(fn (Cell $cell) => $cell->y, $cells)]) - self::WALL;
        $bottom = max([0.0, ...array_map(fn (Cell $cell) => $cell->y + $cell->height, $cells)]) + self::WALL;
        $head = max([
            $top,
            ...array_map(fn (Cell $cell) => $cell->y + $cell->height, array_slice($cells, 0, count($heads))),
        ]);

        return new Body(
            Body::ENGINE,
            count($cells) === 1 ? $blocks[0]->label : 'Engine',
            round($left - self::WALL, 1),
            round($top, 1),
            round($right - $left + 2.0 * self::WALL, 1),
            round($bottom - $top, 1),
            $cells,
            round($head + self::WALL / 2.0, 1),
        );
    }

    /**
     * Jackets at their true heights; those at one height share the width, the front one first.
     *
     * @param  list<Passage>  $passages
     * @return list<Cell>
     */
    private function beside(array $passages, float $left, float $right): array
    {
        $cells = array_map(
            fn (Passage $passage) => Cell::of($passage, $this->scale, $this->runs),
            $passages,
        );
        $rows = [];
        foreach ($cells as $i => $cell) {
            foreach ($rows as $r => $row) {
                $beside = array_filter($row, fn (int $other) => self::stands($cell, $cells[$other]));
                if ($beside !== []) {
                    $rows[$r][] = $i;

                    continue 2;
                }
            }
            $rows[] = [$i];
        }
        $placed = [];
        foreach ($rows as $row) {
            usort($row, fn (int $a, int $b) => $this->scale->middle($passages[$a]) <=> $this->scale->middle($passages[$b]));
            $width = ($right - $left - (count($row) - 1) * self::GAP) / count($row);
            foreach ($row as $place => $i) {
                $placed[$i] = $cells[$i]->at($left + $place * ($width + self::GAP), $width);
            }
        }
        ksort($placed);

        return array_values($placed);
    }

    private static function stands(Cell $one, Cell $other): bool
    {
        $shared = min($one->y + $one->height, $other->y + $other->height) - max($one->y, $other->y);

        return $shared > self::BESIDE * min($one->height, $other->height);
    }
}
