<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\CameOut;

/** What came out another way than through a drain point, in the one balance over all of it. */
final class Elsewhere
{
    /** @return list<Line> */
    public static function lines(Situation $at, Entry $entry): array
    {
        $out = CameOut::of($entry);

        return $out === null || $out->ml() <= 0.0 ? [] : [new Line(
            "Out: {$out->label()}",
            -$out->ml(),
            $out->plusMinusMl($at),
            null,
            lost: $out->isLost(),
            roughMl: $out->roughMl(),
        )];
    }
}
