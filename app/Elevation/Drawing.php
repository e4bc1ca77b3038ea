<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Runs;

/** The elevation view as geometry: the vehicle from its left, and its circuit to scale with coolant and air where the runs put them. */
final readonly class Drawing
{
    private const MARKER = 13.0;

    private const MOST_TRIES = 12;

    public Scale $scale;

    /** @var list<Body> */
    public array $bodies;

    public Tubes $tubes;

    public Silhouette $vehicle;

    /**
     * @param  ?Runs  $runs  null for a dry outline
     * @param  list<PocketLabel>  $pockets  named beside the passage that holds most of each
     * @param  bool  $tall  whether it fills a column that is taller than wide
     */
    public function __construct(private Circuit $circuit, ?Runs $runs, float $noseLiftMm = 0.0, private array $pockets = [], bool $tall = false)
    {
        $this->scale = new Scale($circuit, $noseLiftMm, $tall);
        $this->bodies = (new Bodies($circuit, $this->scale, $runs))->all();
        $this->tubes = new Tubes($circuit, $this->scale, $runs, $this->bodies);
        $this->vehicle = new Silhouette($circuit, $this->scale, $this->bodies);
    }

    /** @return array<string, array{float, float}> where each node stands */
    public function nodes(): array
    {
        return array_map(fn ($node) => $this->scale->node($node->id), $this->circuit->nodes);
    }

    /** Height of the cold level. */
    public function datum(): float
    {
        return $this->scale->y($this->circuit->heightMm($this->circuit->fillPort()->node) + $this->circuit->facts->coldHeadMm);
    }

    /** @return list<PlacedPort> moved apart where two would touch */
    public function ports(): array
    {
        $placed = [];
        foreach (array_values($this->circuit->ports) as $i => $port) {
            $at = $this->scale->node($port->node);
            [$x, $y] = [$at[0], $at[1] + ($port->kind === PortKind::Drain ? 1 : -1) * $this->clearOf($at, $port->kind)];
            for ($try = 0; $try < self::MOST_TRIES; $try++) {
                $near = array_filter($placed, fn (PlacedPort $p) => hypot($p->x - $x, $p->y - $y) < 2.0 * self::MARKER + 3.0);
                if ($near === []) {
                    break;
                }
                $x += 2.0 * self::MARKER + 4.0;
            }
            $placed[] = new PlacedPort($port, $i + 1, round($x, 1), round($y, 1), $at);
        }

        return $placed;
    }

    /**
     * How far a mark stands off its point, so that it lies over no body that ends there.
     *
     * @param  array{float, float}  $at
     */
    private function clearOf(array $at, PortKind $kind): float
    {
        $off = self::MARKER + 11.0;
        foreach ($this->bodies as $body) {
            $inside = $at[0] > $body->x - self::MARKER && $at[0] < $body->x + $body->width + self::MARKER;
            $edge = $kind === PortKind::Drain ? $body->bottom() - $at[1] : $at[1] - $body->box()->y;
            if ($inside && $edge > 0.0 && $edge < 40.0) {
                $off = max($off, $edge + self::MARKER + 4.0);
            }
        }

        return $off;
    }

    /** @return list<Label> names of bodies, of the air, and of the cold level */
    public function labels(): array
    {
        return (new Names($this->circuit, $this->scale, $this->bodies, array_merge(...$this->tubes->groups()), $this->ports(), $this->pockets, $this->datum()))->all();
    }
}
