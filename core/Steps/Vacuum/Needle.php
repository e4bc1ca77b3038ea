<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Gauge;
use Aqbel\Core\Observed\NeedleRead;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Values;

/** What a needle can show here. */
final class Needle
{
    /** @throws InvalidField on a vacuum that the air here does not hold: a gauge marked for the sea, or a slip */
    public static function admit(Situation $at, Values $values): void
    {
        $read = NeedleRead::of(new Entry(0, $at->now, '', $at->step->id, '', $values));
        if ($read === null) {
            return;
        }
        $deepest = Gauge::deepestKpa($at);
        if ($read->kPa(Gauge::air($at)) > $deepest) {
            throw new InvalidField(
                NeedleRead::VACUUM,
                "The air here holds no more than {$at->say($deepest, Unit::InchOfMercury)} above the "
                    .'coolant’s own vapour. Read it again; if it stays, the scale is marked for the sea: tick that.',
            );
        }
    }
}
