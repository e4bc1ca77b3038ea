<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\Cooling;
use Aqbel\Core\Judged\CoolingCode;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Trace;
use Aqbel\Core\Saying\Verdict;

/** How it cools, in words and as a curve. */
final class CoolingWords
{
    /** A curve is drawn through so many points. */
    private const TRACED = 24;

    public static function howToRead(Situation $at): string
    {
        return 'Read the coolant temperature and the air temperature. '
            .($at->facts()->stationary ? 'Doors' : 'Hood').' open, cap shut.';
    }

    public static function of(Situation $at, ?Cooling $cooling): ?Verdict
    {
        $read = $at->degrees($cooling->coolantC ?? 0.0);

        return match ($cooling?->code) {
            null, CoolingCode::Rested, CoolingCode::RestedTooShort => null,
            CoolingCode::CoolToTheHand => Verdict::pass(
                $cooling->code(),
                'Cool to the hand',
                'Felt, not read: less than a thermometer tells. '
                    .'Rag over the cap, to the first hiss, stop, wait, go on.',
            ),
            CoolingCode::Unsealed => Verdict::pass(
                $cooling->code(),
                'Never sealed',
                "{$read}, but the neck was not sealed while it warmed: it may be topped up warm, with glasses and rag."
                    .' The level that counts is the cold one.',
            ),
            CoolingCode::Cold => Verdict::pass(
                $cooling->code(),
                'Cold enough',
                "{$read} is at or below {$at->degrees(NeckHeat::safeC($at))}.",
            ),
            CoolingCode::NotFalling => Verdict::wait(
                $cooling->code(),
                'Not falling yet',
                'The readings do not fall toward the air temperature. Check both and read again in ten minutes.',
            ),
            CoolingCode::TooHot => Verdict::wait($cooling->code(), 'Too hot to open', self::howLong($cooling)),
        };
    }

    private static function howLong(Cooling $cooling): string
    {
        $predicted = $cooling->predicted;
        $range = $predicted === null ? '' : sprintf(
            ' Eight engines of ten need %d to %d min from the last reading; the clock waits for nine.',
            (int) round($predicted->minutesLow),
            (int) round($predicted->minutesHigh),
        );

        return ($cooling->readings > 1
            ? "Cooling through your {$cooling->readings} readings and the engines this shop knows: "
                .'cold enough when the clock is over.'
            : 'A typical engine of this size with the hood open takes this long. '
                .'A second reading makes it this one’s.').$range;
    }

    /** What was read, how it goes on, and where the neck may be opened. */
    public static function curve(Situation $at, ?Cooling $cooling): ?Trace
    {
        $predicted = $cooling?->predicted;
        $readings = Told::inOrder($at->observed(CoolantRead::class));
        if (
            $cooling === null
            || $predicted === null
            || $cooling->airC === null
            || $predicted->minutesFromLast <= 0.0
            || $readings === []
        ) {
            return null;
        }
        [$safe, $air, $last] = [NeckHeat::safeC($at), $cooling->airC, (float) $cooling->coolantC];
        $since = fn (CoolantRead $read): float => (float) ($read->at() - $readings[0]->at());
        $from = $since($readings[count($readings) - 1]);
        $cools = fn (float $second, float $minutes): float => $air
            + ($last - $air) * (($safe - $air) / ($last - $air)) ** ($second / 60.0 / $minutes);
        $over = array_map(
            fn (int $i): float => (60.0 * $predicted->minutesHigh * $i) / self::TRACED,
            range(0, self::TRACED),
        );

        return new Trace(
            'Cools like this',
            array_map(fn (CoolantRead $read) => [$since($read), $read->celsius], $readings),
            array_map(fn (float $second) => [$from + $second, $cools($second, $predicted->minutesFromLast)], $over),
            Dimension::Temperature,
            array_map(
                fn (float $second) => [
                    $from + $second,
                    $cools($second, max(1.0, $predicted->minutesLow)),
                    $cools($second, max(1.0, $predicted->minutesHigh)),
                ],
                $over,
            ),
            $safe,
            $cooling->code === CoolingCode::Unsealed ? 'cold' : 'the neck may be opened',
        );
    }
}
