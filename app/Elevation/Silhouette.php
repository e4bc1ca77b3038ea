<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;

/** The vehicle behind its circuit, faint: enough to know the front from the rear, and what it is. */
final readonly class Silhouette
{
    private const BUS_FROM_MM = 3150.0;

    private const CAR_TO_MM = 2800.0;

    private const SMALL_TO_MM = 1400.0;

    private const WHEEL_MM = 330.0;

    private const WHEEL_SHARE = 0.2;

    private const BULKHEAD_BEHIND = 20.0;

    /** @param  list<Body>  $bodies */
    public function __construct(private Circuit $circuit, private Scale $scale, private array $bodies)
    {
    }

    /** As the nose is raised; null while it stands level. */
    public function tilt(): ?string
    {
        $slope = $this->scale->slope();

        return $slope === 0.0
            ? null
            : sprintf('matrix(1 %s 0 1 0 %s)', round($slope, 4), round(-$this->scale->rise(0.0), 1));
    }

    /** Its outline while it stands level; the picture cuts it off. */
    public function path(): string
    {
        $engine = $this->engine();
        if ($this->circuit->facts->stationary) {
            return $this->skid();
        }

        return match (true) {
            $engine !== null && $this->isRear($engine) => $this->rearEngined(),
            $this->circuit->wheelbaseMm <= self::SMALL_TO_MM => $this->tractor(),
            default => $this->frontEngined(),
        };
    }

    /** Where the engine's room ends; null where there is no wall in the picture. */
    public function bulkhead(): ?float
    {
        $engine = $this->engine();
        if (
            $engine === null
            || $this->circuit->facts->stationary
            || $this->isRear($engine)
            || $this->circuit->wheelbaseMm <= self::SMALL_TO_MM
        ) {
            return null;
        }
        $right = $engine->x + $engine->width;
        $heaters = array_filter($this->bodies, fn (Body $body) => $body->kind === Body::HEATER && $body->x > $right);
        $wall = $heaters === []
                ? $right + self::BULKHEAD_BEHIND
                : min(array_map(fn (Body $body) => $body->x, $heaters)) - self::BULKHEAD_BEHIND / 2.0;

        return $wall < Scale::WIDTH ? round($wall, 1) : null;
    }

    /** @return list<array{x: float, y: float, r: float}> the wheels that are in the picture */
    public function wheels(): array
    {
        if ($this->circuit->facts->stationary) {
            return [];
        }
        $r = min(self::WHEEL_MM, self::WHEEL_SHARE * $this->circuit->wheelbaseMm) * $this->scale->unit;
        $xs = [
            $this->scale->x(0.0),
            ...$this->scale->breaks === [] ? [$this->scale->x(-$this->circuit->wheelbaseMm)] : [],
        ];
        $inside = array_filter($xs, fn (float $x) => $x > $r / 2.0 && $x < Scale::WIDTH - $r / 2.0);

        return array_map(
            fn (float $x) => [
                'x' => $x,
                'y' => round($this->scale->floor() - $r - $this->scale->rise($x), 1),
                'r' => round($r, 1),
            ],
            array_values(array_unique($inside)),
        );
    }

    private function engine(): ?Body
    {
        return array_values(array_filter($this->bodies, fn (Body $body) => $body->kind === Body::ENGINE))[0] ?? null;
    }

    /** Whether the engine stands behind the front axle by more than half of the wheelbase, or behind the cab. */
    private function isRear(Body $engine): bool
    {
        $xs = array_map(fn ($node) => $node->xMm, $this->circuit->nodes);

        return $xs !== []
            && array_sum($xs) / count($xs) < -0.25 * $this->circuit->wheelbaseMm
            && max($xs) < 0.35 * $this->circuit->wheelbaseMm
            && $engine->middle() > 0.0
            && $this->circuit->nodes[$this->circuit->fillPort()->node]->xMm < 0.0;
    }

    /** Bonnet, windscreen and roof. */
    private function frontEngined(): string
    {
        [$floor, $nose] = [$this->scale->floor(), $this->front() - 16.0];
        $wall = $this->bulkhead() ?? Scale::WIDTH * 0.7;
        $bonnet = $this->top() - 18.0;
        $sill = $floor - 44.0;
        $screen = match (true) {
            $this->circuit->wheelbaseMm >= self::BUS_FROM_MM => 30.0,
            $this->circuit->wheelbaseMm <= self::CAR_TO_MM => 90.0,
            default => 60.0,
        };
        $roof = max(4.0, $bonnet - 70.0);

        return sprintf(
            'M%1$s %2$s Q%3$s %4$s %5$s %6$s L%7$s %8$s L%9$s %10$s H%11$s V%2$s Z',
            round($nose, 1),
            round($sill, 1),
            round($nose - 6.0, 1),
            round($bonnet + 40.0, 1),
            round($nose + 26.0, 1),
            round($bonnet + 14.0, 1),
            round($wall - 6.0, 1),
            round($bonnet, 1),
            round($wall + $screen, 1),
            round($roof, 1),
            Scale::WIDTH + 4.0,
        );
    }

    /** A cab in front, and the engine under a hood behind it. */
    private function rearEngined(): string
    {
        [$floor, $front] = [$this->scale->floor(), $this->front() - 14.0];
        $hood = $this->top() - 14.0;

        return sprintf(
            'M%1$s %2$s V%3$s Q%1$s %4$s %5$s %4$s H%6$s V%2$s Z',
            round($front, 1),
            round($floor - 26.0, 1),
            round($hood + 20.0, 1),
            round($hood, 1),
            round($front + 20.0, 1),
            Scale::WIDTH - 6.0,
        );
    }

    /** A hood, and nothing over the rest. */
    private function tractor(): string
    {
        [$floor, $front, $hood] = [$this->scale->floor(), $this->front() - 12.0, $this->top() - 14.0];

        return sprintf(
            'M%1$s %2$s V%3$s Q%1$s %4$s %5$s %4$s L%6$s %7$s V%8$s H%9$s V%2$s Z',
            round($front, 1),
            round($floor - 40.0, 1),
            round($hood + 16.0, 1),
            round($hood, 1),
            round($front + 16.0, 1),
            round(Scale::WIDTH * 0.74, 1),
            round($hood + 6.0, 1),
            round($floor - 120.0, 1),
            Scale::WIDTH - 8.0,
        );
    }

    /** A base frame under all of it. */
    private function skid(): string
    {
        $floor = $this->scale->floor();

        return sprintf('M20 %s H%s V%s H20 Z', round($floor - 22.0, 1), Scale::WIDTH - 20.0, $floor);
    }

    private function front(): float
    {
        return min(array_map(fn (Body $body) => $body->x, $this->bodies) ?: [Scale::GUTTER]);
    }

    private function top(): float
    {
        $tops = array_map(fn (Body $body) => $body->box()->y + $this->scale->rise($body->middle()), $this->bodies);

        return min($tops ?: [Scale::GUTTER]);
    }
}
