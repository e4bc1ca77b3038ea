<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** When a running bleed point is closed. */
enum BleedRule: string
{
    case FirstCoolant = 'first_coolant';
    case SteadyStream = 'steady_stream';
    case BubbleFreeMinute = 'bubble_free_minute';

    public function label(): string
    {
        return match ($this) {
            self::FirstCoolant => 'at first coolant',
            self::SteadyStream => 'on a steady stream',
            self::BubbleFreeMinute => 'after one bubble-free minute',
        };
    }
}
