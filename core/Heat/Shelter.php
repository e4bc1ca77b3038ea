<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/** What stands around an engine while it cools. */
enum Shelter: string
{
    case Open = 'open';
    case HoodShut = 'hood_shut';
    case Blanket = 'blanket';
    case Wind = 'wind';

    public function label(): string
    {
        return match ($this) {
            self::Open => 'Hood open, still air',
            self::HoodShut => 'Hood shut',
            self::Blanket => 'Under a blanket',
            self::Wind => 'In the wind',
        };
    }

    /** Of the time an open hood takes (common practice, no source). */
    public function slower(): float
    {
        return match ($this) {
            self::Open => 1.0,
            self::HoodShut => 1.3,
            self::Blanket => 1.6,
            self::Wind => 0.7,
        };
    }

    /** Engines differ by so much of their time; what shelters them differs too (common practice, no source). */
    public function spread(): float
    {
        return $this === self::Open ? 0.3 : 0.38;
    }
}
