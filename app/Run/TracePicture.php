<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Trace;

/** A trace laid out for its picture: readings as dots, the believed explanation as a line, the ends in words. */
final readonly class TracePicture
{
    public const WIDTH = 460;

    /** Where something is waited for, there is more to see. */
    private const HEIGHT = 110;

    private const WITH_GOAL = 170;

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
        $this->seconds = max([1.0, ...array_column($all, 0), ...array_column($trace->band, 0)]);
        $values = [
            ...array_column($all, 1),
            ...array_column($trace->band, 1),
            ...array_column($trace->band, 2),
            ...$trace->goal === null ? [] : [$trace->goal],
        ];
        [$least, $most] = [min($values), max($values)];
        $air = max(self::EDGE, 0.15 * ($most - $least), self::FLAT * abs($most));
        [$this->least, $this->most] = [$least - $air, $most + $air];
    }

    public function height(): int
    {
        return $this->trace->goal === null ? self::HEIGHT : self::WITH_GOAL;
    }

    /** @return list<array{float, float}> x and y of every reading */
    public function dots(): array
    {
        return array_map($this->at(...), $this->trace->readings);
    }

    /** From reading to reading, where something is waited for. */
    public function path(): string
    {
        return $this->trace->goal === null
            ? ''
            : implode(' ', array_map(fn (array $point) => implode(',', $point), $this->dots()));
    }

    /** The fitted line as points of a polyline; empty where there is none. */
    public function line(): string
    {
        return implode(' ', array_map(fn (array $point) => implode(',', $this->at($point)), $this->trace->fitted));
    }

    /** Between what and what it lies most likely, as points of a polygon; empty where nobody can tell. */
    public function band(): string
    {
        $edge = fn (int $which, array $of): array => array_map(
            fn (array $point) => implode(',', $this->at([$point[0], $point[$which]])),
            $of,
        );

        return implode(' ', [...$edge(1, $this->trace->band), ...$edge(2, array_reverse($this->trace->band))]);
    }

    /** How high what is waited for stands; null where nothing is. */
    public function goal(): ?float
    {
        return $this->trace->goal === null ? null : $this->at([0.0, $this->trace->goal])[1];
    }

    public function goalSaid(): string
    {
        return trim("{$this->units->format((float) $this->trace->goal, $this->trace->in)} {$this->trace->goalLabel}");
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
        $minutes = $this->trace->readings[count($this->trace->readings) - 1][0] / 60.0;

        return $this->trace->over !== '' ? $this->trace->over : round($minutes, 1).' min';
    }

    /**
     * @param  array{float, float}  $point
     * @return array{float, float}
     */
    private function at(array $point): array
    {
        $x = self::MARGIN + ((self::WIDTH - 2 * self::MARGIN) * $point[0]) / $this->seconds;
        $y = self::MARGIN
            + (($this->height() - 2 * self::MARGIN) * ($this->most - $point[1])) / ($this->most - $this->least);

        return [round($x, 1), round($y, 1)];
    }
}
