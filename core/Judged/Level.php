<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Circuit;

/** What a mark, or a line, tells of a content. */
final class Level
{
    /** A mark does not tell apart less than this share of the capacity (common practice, no source). */
    public const SHARE = 0.004;

    /** Within which a level read at a mark lies, mL. */
    public static function plusMinusMl(Circuit $circuit): float
    {
        return self::SHARE * $circuit->capacityMl();
    }

    /** Whether so much more or less is seen at a mark. */
    public static function tells(Circuit $circuit, float $ml): bool
    {
        return $ml > self::plusMinusMl($circuit);
    }
}
