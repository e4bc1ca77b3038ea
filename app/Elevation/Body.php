<?php

declare(strict_types=1);

namespace App\Elevation;

/** Something a technician recognises: a radiator, an engine, a heater, a tank. Drawing units. */
final readonly class Body
{
    public const RADIATOR = 'radiator';

    public const ENGINE = 'engine';

    public const HEATER = 'heater';

    public const TANK = 'tank';

    public const COOLER = 'cooler';

    /**
     * @param  string  $kind  one of the above
     * @param  list<Cell>  $cells
     * @param  float  $headAt  of an engine: where its head begins, from above
     * @param  bool  $fanBehind  of a radiator: whether its fan is on the side of the rear
     */
    public function __construct(
        public string $kind,
        public string $label,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
        public array $cells,
        public float $headAt = 0.0,
        public bool $fanBehind = true,
    ) {
    }

    public function middle(): float
    {
        return round($this->x + $this->width / 2.0, 1);
    }

    public function bottom(): float
    {
        return round($this->y + $this->height, 1);
    }

    public function holds(string $passage): bool
    {
        return array_filter($this->cells, fn (Cell $cell) => $cell->passage === $passage) !== [];
    }

    /** What no name may lie over. */
    public function box(): Box
    {
        $more = match ($this->kind) {
            self::ENGINE => [6.0, 16.0, 6.0, 26.0],
            self::RADIATOR => [2.0, 2.0, 22.0, 2.0],
            self::TANK => [2.0, 12.0, 2.0, 2.0],
            default => [2.0, 2.0, 2.0, 2.0],
        };

        return new Box(
            $this->x - $more[0],
            $this->y - $more[1],
            $this->width + $more[0] + $more[2],
            $this->height + $more[1] + $more[3],
        );
    }
}
