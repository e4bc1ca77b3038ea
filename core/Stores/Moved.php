<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** Why there is more or less in a container than before. */
enum Moved: string
{
    case ByJob = '';
    case Shelved = 'shelved';
    case Counted = 'counted';
    case Spilled = 'spilled';
    case GivenAlong = 'given_along';
    case Wasted = 'wasted';

    /** Of what was looked at in a can or measured into another one (common practice, no source). */
    private const BY_EYE = 0.05;

    /** A guess is good to half of it (common practice, no source). */
    private const GUESSED = 0.5;

    public function label(): string
    {
        return match ($this) {
            self::ByJob => 'Into a job',
            self::Shelved => 'Put on the shelf',
            self::Counted => 'Counted',
            self::Spilled => 'Spilled',
            self::GivenAlong => 'Given along with a vehicle',
            self::Wasted => 'Into the waste drum',
        };
    }

    /** @return array<string, string> label by code of what somebody does to it by hand, beside counting */
    public static function byHand(): array
    {
        $hands = [self::GivenAlong, self::Spilled, self::Wasted];

        return array_combine(array_column($hands, 'value'), array_map(fn (self $why) => $why->label(), $hands));
    }

    /** Within which 95 % of such amounts lie where nothing better is known, mL. */
    public function plusMinusMl(float $ml): float
    {
        return ($this === self::Spilled ? self::GUESSED : self::BY_EYE) * abs($ml);
    }
}
