<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** What was set up on the vehicle for the work, and has to be set back before it is read, opened, run or driven. */
enum SetUp: string
{
    case NoseUp = 'nose';
    case UnderPressure = 'pressure';
    case JointOff = 'off';

    /** How the vehicle stands by it. */
    public function label(): string
    {
        return match ($this) {
            self::NoseUp => 'nose up',
            self::UnderPressure => 'under pressure',
            self::JointOff => 'with a hose off',
        };
    }
}
