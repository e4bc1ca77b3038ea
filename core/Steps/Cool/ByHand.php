<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\NeckHeat;

/** Cold without a thermometer: when a hand may tell it. */
final class ByHand
{
    /** @throws InvalidField before it can be told by hand, or where a reading says otherwise */
    public static function admit(Situation $at): void
    {
        $ran = NeckHeat::lastRan($at);
        $wait = NeckHeat::byHandS($at);
        $left = $ran === null ? 0 : (int) ceil(($ran + $wait - $at->now) / 60);
        $read = NeckHeat::readJustNow($at);
        if (WhyStopped::runBefore($at) !== null) {
            throw new InvalidField('finish', 'That run had to be stopped: after it the temperature is read, not felt.');
        }
        if ($left > 0) {
            $minutes = (int) round($wait / 60.0);
            throw new InvalidField(
                'finish',
                "A hand tells it from {$minutes} min after an engine of this size is off: "
                    ."another {$left} min. Or read the temperature.".self::orTellIt($at),
            );
        }
        if ($read !== null && ! NeckHeat::mayBeOpened($at, $read)) {
            throw new InvalidField(
                'finish',
                "{$at->degrees($read)} was read a little while ago. Wait, and read it again.",
            );
        }
    }

    /** What else helps whoever was late to say that it is off: its own time. */
    public static function orTellIt(Situation $at): string
    {
        return $at->job->running()->last() === null
            ? ''
            : ' Was it off earlier than the journal says? Take that line back, and tell it of its own time.';
    }
}
