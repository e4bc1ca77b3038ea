<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;

/** The numbered marks of necks, bleed points and drains, each off its body, and none over another. */
final readonly class Points
{
    private const MARKER = 13.0;

    private const STEM = 11.0;

    private const MOST_TRIES = 12;

    /** Further off than this a body's edge is another one's. */
    private const NEAR_EDGE = 40.0;

    /** @param  list<Body>  $bodies */
    public function __construct(private Circuit $circuit, private Scale $scale, private array $bodies)
    {
    }

    /** @return list<PlacedPort> in the order of the circuit */
    public function all(): array
    {
        $placed = [];
        foreach (array_values($this->circuit->ports) as $i => $port) {
            $at = $this->scale->node($port->node);
            [$x, $y] = [$at[0], $at[1] + ($port->kind === PortKind::Drain ? 1 : -1) * $this->clearOf($at, $port->kind)];
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

    /**
     * How far a mark stands off its point, so that it lies over no body that ends there.
     *
     * @param  array{float, float}  $at
     */
    private function clearOf(array $at, PortKind $kind): float
    {
        $off = self::MARKER + self::STEM;
        foreach ($this->bodies as $body) {
            $inside = $at[0] > $body->x - self::MARKER && $at[0] < $body->x + $body->width + self::MARKER;
            $edge = $kind === PortKind::Drain ? $body->bottom() - $at[1] : $at[1] - $body->box()->y;
            if ($inside && $edge > 0.0 && $edge < self::NEAR_EDGE) {
                $off = max($off, $edge + self::MARKER + 4.0);
            }
        }

        return $off;
    }
}
