<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** What a shop asks for when a vacuum has been held and the circuit is full. */
enum AfterVacuum: string
{
    /** A hold that proved it tight takes the place of a pressure test. */
    case HoldIsEnough = 'hold';
    case PressToo = 'press';

    public function label(): string
    {
        return match ($this) {
            self::HoldIsEnough => 'a hold that was tight is enough',
            self::PressToo => 'it is pressed too',
        };
    }
}
