<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Figure;

/** A number against the level it is judged by, as text and as a tube: heights in drawing units from the top. */
final readonly class Level
{
    public const HEIGHT = 132;

    /** What is higher, number or level, leaves so much of the tube free. */
    private const HEADROOM = 1.15;

    /** Where the level stands while there is no number, and where there is neither; percent. */
    private const LEVEL_ALONE = 70.0;

    private const NEITHER = 50.0;

    public function __construct(public Figure $figure, private UnitSystem $units)
    {
    }

    public function text(): string
    {
        return $this->figure->base === null ? '–' : $this->units->format($this->figure->base, $this->figure->in, false);
    }

    public function unit(): string
    {
        return ($this->figure->in instanceof Unit ? $this->figure->in : $this->units->unit($this->figure->in))->value;
    }

    /**
     * Behind the unit: “ ± 0.40”, or “, 6.10 to 6.72” where it is surer on
     * one side; empty where it is as sure as the number reads.
     */
    public function within(): string
    {
        $range = $this->figure->within;
        $say = fn (float $base): string => $this->units->format($base, $this->figure->in, false);
        if ($range === null || $say($range->low) === $say($range->high)) {
            return '';
        }
        [$below, $above] = [$say($range->value - $range->low), $say($range->high - $range->value)];

        return $below === $above ? " ± {$above}" : ", {$say(max(0.0, $range->low))} to {$say($range->high)}";
    }

    /**
     * @return ?array{float, float} where the tube is surely filled to, and where surely
     * not: from, height; null where nothing is said of that
     */
    public function band(): ?array
    {
        $span = $this->span();
        if ($this->within() === '' || $span === null) {
            return null;
        }
        $at = fn (float $base): float => self::HEIGHT - self::HEIGHT * max(0.0, min(1.0, $base / $span));
        [$top, $bottom] = [$at($this->figure->within->high ?? 0.0), $at($this->figure->within->low ?? 0.0)];

        return [round($top, 1), round($bottom - $top, 1)];
    }

    public function datum(): ?string
    {
        return $this->figure->datum === null ? null : $this->units->format($this->figure->datum, $this->figure->in);
    }

    /** How far the tube is filled. */
    public function wet(): float
    {
        $span = $this->span();
        $percent = $span === null ? 0.0 : max(2.0, min(100.0, 100.0 * abs((float) $this->figure->base) / $span));

        return round($percent * self::HEIGHT / 100.0, 1);
    }

    /** Where the level crosses it. */
    public function mark(): float
    {
        $span = $this->span();
        $percent = match (true) {
            $this->figure->datum === null => self::NEITHER,
            $span === null => self::LEVEL_ALONE,
            default => max(4.0, min(96.0, 100.0 * abs($this->figure->datum) / $span)),
        };

        return round(self::HEIGHT - $percent * self::HEIGHT / 100.0, 1);
    }

    private function span(): ?float
    {
        return $this->figure->datum === null || $this->figure->base === null ? null
            : max(abs($this->figure->datum), abs($this->figure->base), 1.0e-9) * self::HEADROOM;
    }
}
