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

    public function plusMinus(): string
    {
        return $this->figure->plusMinus > 0.0
            ? '± '.$this->units->format($this->figure->plusMinus, $this->figure->in, false)
            : '';
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
