<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** What was set up on the vehicle for the work, and has to be set back before it is read, opened, run or driven. */
enum SetUp: string
{
    case NoseUp = 'nose';
    case UnderPressure = 'pressure';
    case JointOff = 'off';

    /**
     * @param  list<string>  $codes
     * @return list<self>
     */
    public static function coded(array $codes): array
    {
        return array_values(array_filter(array_map(self::tryFrom(...), $codes)));
    }

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
