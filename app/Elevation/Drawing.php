<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\CellState;
use Aqbel\Core\Flow\Runs;

/**
 * The elevation view as geometry: the circuit to scale from the side, front to the left, with coolant and air where the
 * runs put them. One scale for both axes, unless heights are stretched to fill a column, which it says; a long stretch
 * without any node is shortened and marked by a break line.
 */
final readonly class Drawing
{
    public const WIDTH = 520.0;

    public const GUTTER = 110.0;

    private const TOP = 46.0;

    private const FLOOR = 30.0;

    private const TALLEST = 430.0;

    /** Where it fills a column: as tall as this, and heights no further from the truth than so many times. */
    private const COLUMN = 560.0;

    private const MOST_STRETCHED = 2.0;

    /** A stretch longer than this without a node is drawn this long. */
    private const LONGEST_GAP_MM = 600.0;

    private const SHORTENED_MM = 200.0;

    private const MARKER = 13.0;

    private const MOST_TRIES = 12;

    public float $height;

    private float $scale;

    /** Heights are drawn so many times as large as lengths. */
    public float $stretched;

    /**
     * @var list<array{float, float, float}> x in the vehicle, x in the drawing and the slope behind it, from the
     * front
     */
    private array $stretches;

    /** @var list<float> where the drawing is broken, in mm of the drawing */
    private array $breaks;

    private float $leftMm;

    /**
     * @param  ?Runs  $runs  null for a dry outline
     * @param  list<PocketLabel>  $pockets  named in the margin, with a line to the passage that holds most of each
     * @param  bool  $tall  whether it fills a column that is taller than wide
     */
    public function __construct(
        private Circuit $circuit,
        private ?Runs $runs,
        private float $noseLiftMm = 0.0,
        private array $pockets = [],
        bool $tall = false,
    ) {
        $xs = array_map(fn ($node) => $node->xMm, array_values($circuit->nodes));
        rsort($xs);
        [$stretches, $breaks, $along] = [[[$xs[0], 0.0, 1.0]], [], 0.0];
        for ($i = 1; $i < count($xs); $i++) {
            $gap = $xs[$i - 1] - $xs[$i];
            $drawn = $gap > self::LONGEST_GAP_MM ? self::SHORTENED_MM : $gap;
            if ($drawn < $gap) {
                $breaks[] = $along + $drawn / 2.0;
            }
            $along += $drawn;
            $stretches[] = [$xs[$i], $along, 1.0];
        }
        $this->stretches = $stretches;
        $this->breaks = $breaks;
        $highest = max(
            [1.0, ...array_map(fn (string $id) => $circuit->heightMm($id, $noseLiftMm), array_keys($circuit->nodes))],
        );
        $room = self::WIDTH - 2.0 * self::GUTTER;
        $this->scale = min($room / max(1.0, $along), (self::TALLEST - self::TOP - self::FLOOR) / $highest);
        $fills = (self::COLUMN - self::TOP - self::FLOOR) / ($highest * $this->scale);
        $this->stretched = $tall ? max(1.0, min(self::MOST_STRETCHED, $fills)) : 1.0;
        $this->height = self::TOP + self::FLOOR + $highest * $this->scale * $this->stretched;
        $this->leftMm = ($room / $this->scale - $along) / 2.0;
    }

    public function x(float $xMm): float
    {
        $at = $this->stretches[0];
        foreach ($this->stretches as $i => $stretch) {
            if ($stretch[0] <= $xMm || $i === count($this->stretches) - 1) {
                $before = $this->stretches[max(0, $i - 1)];
                $span = $before[0] - $stretch[0];
                $share = $span > 0.0 ? ($before[0] - $xMm) / $span : 0.0;
                $along = $before[1] + $share * ($stretch[1] - $before[1]);

                return round(self::GUTTER + ($this->leftMm + $along) * $this->scale, 1);
            }
            $at = $stretch;
        }

        return round(self::GUTTER + ($this->leftMm + $at[1]) * $this->scale, 1);
    }

    public function y(float $zMm): float
    {
        return round($this->height - self::FLOOR - $zMm * $this->scale * $this->stretched, 1);
    }

    public function floor(): float
    {
        return $this->y(0.0);
    }

    /** @return list<float> x of each break line */
    public function breaks(): array
    {
        return array_map(
            fn (float $mm) => round(self::GUTTER + ($this->leftMm + $mm) * $this->scale, 1),
            $this->breaks,
        );
    }

    /**
     * The front wheel, to recognise the vehicle by; null where there is none in the picture.
     *
     * @return array{x: float, y: float, r: float}|null
     */
    public function wheel(): ?array
    {
        $r = min(330.0, 0.2 * $this->circuit->wheelbaseMm) * $this->scale;
        if ($this->circuit->facts->stationary || $this->x(0.0) + $r > self::WIDTH || $this->x(0.0) - $r < 0.0) {
            return null;
        }

        return ['x' => $this->x(0.0), 'y' => round($this->floor() - $r, 1), 'r' => round($r, 1)];
    }

    /** Drawing units to the millimetre, for dragging. */
    public function scale(): float
    {
        return $this->scale;
    }

    /** @return array<string, array{float, float}> where each node stands */
    public function nodes(): array
    {
        return array_map(
            fn ($node) => [$this->x($node->xMm), $this->y($this->circuit->heightMm($node->id, $this->noseLiftMm))],
            $this->circuit->nodes,
        );
    }

    /** Height of the cold level. */
    public function datum(): float
    {
        return $this->y($this->circuit->heightMm($this->circuit->fillPort()->node) + $this->circuit->facts->coldHeadMm);
    }

    /** @return list<DrawnPassage> broad parts first, so that thin lines lie over them */
    public function passages(): array
    {
        $drawn = [];
        foreach ($this->circuit->passages as $id => $passage) {
            $quad = $this->quad($passage);
            $parts = [CellState::Coolant->value => [], CellState::Trapped->value => [], CellState::Air->value => []];
            foreach ($this->runs?->of($id) ?? [] as $run) {
                $part = $this->part($passage, $quad, $run->from, $run->to);
                if (count($part) >= 3) {
                    $parts[$run->state->value][] = Polygon::points($part);
                }
            }
            $drawn[] = new DrawnPassage(
                $id,
                $passage->kind,
                Polygon::points($quad),
                $parts[CellState::Coolant->value],
                $parts[CellState::Trapped->value],
            );
        }
        usort($drawn, fn (DrawnPassage $a, DrawnPassage $b) => $a->depth() <=> $b->depth());

        return $drawn;
    }

    /** @return list<PlacedPort> moved apart where two would touch */
    public function ports(): array
    {
        $placed = [];
        foreach (array_values($this->circuit->ports) as $i => $port) {
            $node = $this->circuit->nodes[$port->node];
            $at = [$this->x($node->xMm), $this->y($this->circuit->heightMm($port->node, $this->noseLiftMm))];
            [$x, $y] = [$at[0], $at[1] + ($port->kind === PortKind::Drain ? 1 : -1) * (self::MARKER + 9.0)];
            for ($try = 0; $try < self::MOST_TRIES; $try++) {
                $near = array_filter(
                    $placed,
                    fn (PlacedPort $p) => hypot($p->x - $x, $p->y - $y) < 2.0 * self::MARKER + 3.0,
                );
                if ($near === []) {
                    break;
                }
                $x += 2.0 * self::MARKER + 4.0;
            }
            $placed[] = new PlacedPort($port, $i + 1, round($x, 1), round($y, 1), $at);
        }

        return $placed;
    }

    /** @return list<Label> names of the large parts, and of the pockets, in the margins */
    public function labels(): array
    {
        return (new Margin($this, $this->circuit, $this->pockets))->labels();
    }

    /** @return array{float, float} middle of a passage */
    public function middle(Passage $passage): array
    {
        return [
            (
                $this->x(
                    $this->circuit->nodes[$passage->from]->xMm,
                ) + $this->x($this->circuit->nodes[$passage->to]->xMm)
            ) / 2.0,
            (
                $this->y(
                    $this->circuit->heightMm($passage->from, $this->noseLiftMm),
                ) + $this->y($this->circuit->heightMm($passage->to, $this->noseLiftMm))
            ) / 2.0,
        ];
    }

    /**
     * A passage's own outline: as wide as its volume over its length makes it.
     *
     * @return list<array{float, float}>
     */
    private function quad(Passage $passage): array
    {
        $from = $this->circuit->nodes[$passage->from];
        $to = $this->circuit->nodes[$passage->to];
        $lengthMm = max(40.0, hypot($to->xMm - $from->xMm, $to->zMm - $from->zMm));
        $widthMm = 2.0 * sqrt($passage->volumeMl * 1000.0 / $lengthMm / M_PI);
        $half = max(2.6, min($widthMm, 170.0) * $this->scale / 2.0);
        [$x0, $y0] = [$this->x($from->xMm), $this->y($this->circuit->heightMm($passage->from, $this->noseLiftMm))];
        [$x1, $y1] = [$this->x($to->xMm), $this->y($this->circuit->heightMm($passage->to, $this->noseLiftMm))];
        $length = max(0.1, hypot($x1 - $x0, $y1 - $y0));
        [$nx, $ny] = [-($y1 - $y0) / $length * $half, ($x1 - $x0) / $length * $half];

        return [[$x0 + $nx, $y0 + $ny], [$x1 + $nx, $y1 + $ny], [$x1 - $nx, $y1 - $ny], [$x0 - $nx, $y0 - $ny]];
    }

    /**
     * The stretch between two shares of the length. A passage that rises is cut level, as a liquid surface is.
     *
     * @param  list<array{float, float}>  $quad
     * @return list<array{float, float}>
     */
    private function part(Passage $passage, array $quad, float $from, float $to): array
    {
        $y0 = $this->y($this->circuit->heightMm($passage->from, $this->noseLiftMm));
        $y1 = $this->y($this->circuit->heightMm($passage->to, $this->noseLiftMm));
        $dx = abs($quad[1][0] - $quad[0][0]);
        if (abs($y1 - $y0) < 0.35 * $dx) {
            $along = fn (array $a, array $b, float $t) => [$a[0] + ($b[0] - $a[0]) * $t, $a[1] + ($b[1] - $a[1]) * $t];

            return [
                $along($quad[0], $quad[1], $from),
                $along($quad[0], $quad[1], $to),
                $along($quad[3], $quad[2], $to),
                $along($quad[3], $quad[2], $from),
            ];
        }
        $cuts = array_map(
            fn (float $t) => $y0 + ($y1 - $y0) * $t,
            array_filter([$from, $to], fn (float $t) => $t > 0.001 && $t < 0.999),
        );
        $middle = $y0 + ($y1 - $y0) * ($from + $to) / 2.0;
        foreach ($cuts as $cut) {
            $quad = Polygon::clip($quad, $cut, $middle < $cut);
        }

        return $quad;
    }
}
