<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Flow\Runs;

/** The passages of a circuit that are bodies to look at; every other one is a tube. */
final readonly class Bodies
{
    /** A jacket with less than this share of the largest is a drilling. */
    private const A_JACKET = 0.15;

    private const LEAST_CELL = 16.0;

    private const ENGINE_WIDTH = 116.0;

    private const WALL = 8.0;

    private const GAP = 6.0;

    /** Two cells stand beside each other where they share this much of the lower one. */
    private const BESIDE = 0.4;

    private const STANDS = 0.35;

    public function __construct(private Circuit $circuit, private Scale $scale, private ?Runs $runs)
    {
    }

    /** @return list<Body> */
    public function all(): array
    {
        $engine = $this->engine();

        return array_values(array_filter([
            $engine,
            ...array_map(fn (Passage $one) => $this->radiator($one, $engine), $this->of(PassageKind::Radiator)),
            ...array_map($this->heater(...), $this->joined($this->of(PassageKind::Heater))),
            ...array_map($this->tank(...), [...$this->of(PassageKind::Tank), ...$this->of(PassageKind::Recovery)]),
            ...array_map($this->cooler(...), $this->of(PassageKind::Cooler)),
        ]));
    }

    /** @return list<Passage> */
    private function of(PassageKind $kind): array
    {
        return array_values(array_filter($this->circuit->passages, fn (Passage $passage) => $passage->kind === $kind));
    }

    private function engine(): ?Body
    {
        $blocks = $this->of(PassageKind::Block);
        $largest = max([0.0, ...array_map(fn (Passage $one) => $one->volumeMl, $blocks)]);
        $blocks = array_values(array_filter($blocks, fn (Passage $one) => $one->volumeMl >= self::A_JACKET * $largest));
        $ends = array_merge(...array_map(fn (Passage $one) => [$one->from, $one->to], $blocks), ...[[]]);
        $heads = array_values(
            array_filter(
                $this->of(PassageKind::Head),
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
        $wider = max(0.0, self::ENGINE_WIDTH - ($right - $left)) / 2.0;
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
        $cells = array_map($this->cell(...), $passages);
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
            usort($row, fn (int $a, int $b) => $this->middleX($passages[$a]) <=> $this->middleX($passages[$b]));
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

    private function middleX(Passage $passage): float
    {
        return ($this->scale->node($passage->from)[0] + $this->scale->node($passage->to)[0]) / 2.0;
    }

    /** As high as its two ends stand; its width is given to it. */
    private function cell(Passage $passage, float $x = 0.0, float $width = 0.0, bool $level = false): Cell
    {
        [$from, $to] = [$this->scale->node($passage->from), $this->scale->node($passage->to)];
        [$top, $bottom] = [min($from[1], $to[1]), max($from[1], $to[1])];
        $more = max(0.0, self::LEAST_CELL - ($bottom - $top)) / 2.0;
        $first = $level ? $from[0] <= $to[0] : $from[1] <= $to[1];

        return new Cell(
            $passage->id,
            round($x, 1),
            round($top - $more, 1),
            round($width, 1),
            round($bottom - $top + 2.0 * $more, 1),
            $this->runs?->of($passage->id) ?? [],
            $first,
            $level,
        );
    }

    private function radiator(Passage $passage, ?Body $engine): Body
    {
        $height = abs($this->scale->node($passage->from)[1] - $this->scale->node($passage->to)[1]);
        $width = max(
            30.0,
            min(
                52.0,
                sqrt(($passage->volumeMl * 1000.0) / max(1.0, $height / $this->scale->unit) / 5.0) * $this->scale->unit,
            ),
        );
        $middle = $this->middleX($passage);

        return $this->around(
            Body::RADIATOR,
            $passage->label,
            [$this->cell($passage, $middle - $width / 2.0, $width)],
            0.0,
            $engine === null || $engine->middle() > $middle,
        );
    }

    /** @param  non-empty-list<Passage>  $passages  that hang together */
    private function heater(array $passages): Body
    {
        usort($passages, fn (Passage $a, Passage $b) => $this->middleX($a) <=> $this->middleX($b));
        $middle = array_sum(array_map($this->middleX(...), $passages)) / count($passages);
        $width = max(22.0, 46.0 / count($passages));
        $left = $middle - $width * count($passages) / 2.0;
        $cells = [];
        foreach ($passages as $i => $passage) {
            $cells[] = $this->cell($passage, $left + $i * $width, $width);
        }

        return $this->around(Body::HEATER, $passages[0]->label, $cells, 4.0);
    }

    private function tank(Passage $passage): Body
    {
        $height = abs($this->scale->node($passage->from)[1] - $this->scale->node($passage->to)[1]);
        $width = max(
            40.0,
            min(
                96.0,
                sqrt(($passage->volumeMl * 1000.0) / max(1.0, $height / $this->scale->unit)) * $this->scale->unit,
            ),
        );

        return $this->around(
            Body::TANK,
            $passage->label,
            [$this->cell($passage, $this->middleX($passage) - $width / 2.0, $width)],
            0.0,
        );
    }

    private function cooler(Passage $passage): Body
    {
        [$from, $to] = [$this->scale->node($passage->from), $this->scale->node($passage->to)];
        $level = abs($from[1] - $to[1]) < self::STANDS * abs($from[0] - $to[0]);
        $width = max($level ? 0.0 : 44.0, abs($from[0] - $to[0]));

        return $this->around(
            Body::COOLER,
            $passage->label,
            [$this->cell($passage, $this->middleX($passage) - $width / 2.0, $width, $level)],
            4.0,
        );
    }

    /** @param  non-empty-list<Cell>  $cells */
    private function around(string $kind, string $label, array $cells, float $wall, bool $fanBehind = true): Body
    {
        $left = min(array_map(fn (Cell $cell) => $cell->x, $cells)) - $wall;
        $top = min(array_map(fn (Cell $cell) => $cell->y, $cells)) - $wall;
        $right = max(array_map(fn (Cell $cell) => $cell->x + $cell->width, $cells)) + $wall;
        $bottom = max(array_map(fn (Cell $cell) => $cell->y + $cell->height, $cells)) + $wall;

        return new Body(
            $kind,
            $label,
            round($left, 1),
            round($top, 1),
            round($right - $left, 1),
            round($bottom - $top, 1),
            $cells,
            0.0,
            $fanBehind,
        );
    }

    /**
     * @param  list<Passage>  $passages
     * @return list<non-empty-list<Passage>> those that share a node together
     */
    private function joined(array $passages): array
    {
        $groups = [];
        foreach ($passages as $passage) {
            foreach ($groups as $g => $group) {
                $shares = array_filter(
                    $group,
                    fn (Passage $other) => array_intersect(
                        [$passage->from, $passage->to],
                        [$other->from, $other->to],
                    ) !== [],
                );
                if ($shares !== []) {
                    $groups[$g][] = $passage;

                    continue 2;
                }
            }
            $groups[] = [$passage];
        }

        return $groups;
    }
}
