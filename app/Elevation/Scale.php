<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Passage;

/**
 * From millimetres in the vehicle to the picture: front to the left, one scale for both axes, unless heights are
 * stretched to fill a column, which it says; a long stretch without any node is shortened, and marked where it is.
 */
final readonly class Scale
{
    public const WIDTH = 520.0;

    /** Free on both sides, for names and the marks of points. */
    public const GUTTER = 74.0;

    private const TOP = 78.0;

    private const FLOOR = 30.0;

    private const TALLEST = 430.0;

    /** Where it fills a column: as tall as this, and heights no further from the truth than so many times. */
    private const COLUMN = 560.0;

    private const MOST_STRETCHED = 2.0;

    /** A stretch longer than this without a node is drawn this long. */
    private const LONGEST_GAP_MM = 600.0;

    private const SHORTENED_MM = 200.0;

    public float $height;

    /** Drawing units to the millimetre, along. */
    public float $unit;

    /** Heights are drawn so many times as large as lengths. */
    public float $stretched;

    /** @var list<float> x of each break */
    public array $breaks;

    /** @var list<array{float, float}> x in the vehicle, and in the drawing, from the front, mm */
    private array $along;

    private float $leftMm;

    public function __construct(private Circuit $circuit, private float $noseLiftMm, bool $tall)
    {
        $xs = array_map(fn ($node) => $node->xMm, array_values($circuit->nodes));
        rsort($xs);
        [$along, $at, $breaks] = [[[$xs[0], 0.0]], 0.0, []];
        for ($i = 1; $i < count($xs); $i++) {
            $gap = $xs[$i - 1] - $xs[$i];
            $drawn = $gap > self::LONGEST_GAP_MM ? self::SHORTENED_MM : $gap;
            if ($drawn < $gap) {
                $breaks[] = $at + $drawn / 2.0;
            }
            $at += $drawn;
            $along[] = [$xs[$i], $at];
        }
        $this->along = $along;
        $highest = max([1.0, ...array_map($this->heightMm(...), array_keys($circuit->nodes))]);
        $room = self::WIDTH - 2.0 * self::GUTTER;
        $this->unit = min($room / max(1.0, $at), (self::TALLEST - self::TOP - self::FLOOR) / $highest);
        $fills = (self::COLUMN - self::TOP - self::FLOOR) / ($highest * $this->unit);
        $this->stretched = $tall ? max(1.0, min(self::MOST_STRETCHED, $fills)) : 1.0;
        $this->height = self::TOP + self::FLOOR + $highest * $this->unit * $this->stretched;
        $this->leftMm = ($room / $this->unit - $at) / 2.0;
        $this->breaks = array_map(fn (float $mm) => $this->across($mm), $breaks);
    }

    public function x(float $xMm): float
    {
        $last = count($this->along) - 1;
        foreach ($this->along as $i => [$there, $drawn]) {
            if ($there <= $xMm || $i === $last) {
                [$before, $from] = $this->along[max(0, $i - 1)];
                $share = $before > $there ? ($before - $xMm) / ($before - $there) : 0.0;

                return $this->across($from + $share * ($drawn - $from));
            }
        }

        return $this->across(0.0);
    }

    private function across(float $mm): float
    {
        return round(self::GUTTER + ($this->leftMm + $mm) * $this->unit, 1);
    }

    public function y(float $zMm): float
    {
        return round($this->height - self::FLOOR - $zMm * $this->unit * $this->stretched, 1);
    }

    public function floor(): float
    {
        return $this->y(0.0);
    }

    /** @return array{float, float} where a node stands, the nose raised as it is */
    public function node(string $id): array
    {
        return [$this->x($this->circuit->nodes[$id]->xMm), $this->y($this->heightMm($id))];
    }

    /** x halfway between the two ends of a passage. */
    public function middle(Passage $passage): float
    {
        return ($this->node($passage->from)[0] + $this->node($passage->to)[0]) / 2.0;
    }

    /** How far what stands at this x of the picture is raised with the nose, drawing units. */
    public function rise(float $x): float
    {
        return $this->noseLiftMm * $this->unit * $this->stretched
            - $x * $this->slope()
            + $this->x(0.0) * $this->slope();
    }

    /** Drawing units that the vehicle falls, one unit further to the rear. */
    public function slope(): float
    {
        return ($this->noseLiftMm * $this->unit * $this->stretched)
            / max(1.0, $this->x(-$this->circuit->wheelbaseMm) - $this->x(0.0));
    }

    private function heightMm(string $id): float
    {
        return $this->circuit->heightMm($id, $this->noseLiftMm);
    }
}
