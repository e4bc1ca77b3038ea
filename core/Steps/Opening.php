<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Judged\StopLimitAtNeck;

/** A neck that was sealed while warming is never opened hot, and none at the boil, whatever the reason. */
final class Opening
{
    /** @throws InvalidField where opening it now would scald */
    public static function admit(Situation $at, string $field, float $coolantC): void
    {
        if (NeckHeat::wasSealed($at) && ! NeckHeat::mayBeOpened($at, $coolantC)) {
            throw new InvalidField($field, 'Do not open it. The neck was sealed while warming and stands at '
                ."{$at->degrees($coolantC)}:"
                ." it opens at {$at->degrees(NeckHeat::safeC($at))} or below. Wait and read again.");
        }
        $limit = StopLimitAtNeck::of($at, Neck::Open)->limit->degC();
        if ($coolantC >= $limit) {
            throw new InvalidField($field, "Hands off. Without pressure it is near its boil at {$at->degrees($coolantC)}: "
                ."leave it as it is, engine off, until it is below {$at->degrees($limit)}, and read again.");
        }
    }
}
