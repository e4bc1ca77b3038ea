<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

/** One reading of one channel as an instrument sent it. */
final readonly class SentPoint
{
    /** @param  float  $seconds  by the instrument's own count, or since 1970 where it sends a date */
    public function __construct(public string $channel, public float $seconds, public float $value)
    {
    }
}
