<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Trace;

/** A trace laid out for its picture: readings as dots, the believed explanation as a line, the ends in words. */
final readonly class TracePicture
{
    public const WIDTH = 460;

    public const HEIGHT = 110;

    private const MARGIN = 12;

    private const EDGE = 1.0e-9;

    /** So little of the value is drawn as flat as it is. */
    private const FLAT = 0.05;

    private float $seconds;

    private float $least;

    private float $most;

    public function __construct(public Trace $trace, private UnitSystem $units)
    {
        $all = [...$trace->readings, ...$trace->fitted];
        $this->seconds = max([1.0, ...array_column($all, 0)]);
        [$least, $most] = [min(array_column($all, 1)), max(array_column($all, 1))];
        $air = max(self::EDGE, 0.15 * ($most - $least), self::FLAT * abs($most));
        [$this->least, $this->most] = [$least - $air, $most + $air];
    }

    /** @return list<array{float, float}> x and y of every reading */
    public function dots(): array
    {
        return array_map($this->at(...), $this->trace->readings);
    }

    /** The fitted line as points of a polyline; empty where there is none. */
    public function line(): string
    {
        return implode(' ', array_map(fn (array $point) => implode(',', $this->at($point)), $this->trace->fitted));
    }

    public function from(): string
    {
        return $this->units->format($this->trace->readings[0][1], $this->trace->in);
    }

    public function to(): string
    {
        return $this->units->format($this->trace->readings[count($this->trace->readings) - 1][1], $this->trace->in);
    }

    public function minutes(): string
    {
        return round($this->seconds / 60.0, 1).' min';
    }

    /**
     * @param  array{float, float}  $point
     * @return array{float, float}
     */
    private function at(array $point): array
    {
        $x = self::MARGIN + (self::WIDTH - 2 * self::MARGIN) * $point[0] / $this->seconds;
        $y = self::MARGIN + (self::HEIGHT - 2 * self::MARGIN) * ($this->most - $point[1]) / ($this->most - $this->least);

        return [round($x, 1), round($y, 1)];
    }
}
