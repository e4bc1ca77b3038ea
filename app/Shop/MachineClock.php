<?php

declare(strict_types=1);

namespace App\Shop;

/** What this machine says of time: its wall clock, which somebody can set, and its uptime, which nobody can. */
class MachineClock
{
    /** Unix seconds. */
    public function wall(): float
    {
        return microtime(true);
    }

    /** Seconds since the machine started, asleep or not; null where it does not say. */
    public function uptime(): ?float
    {
        $uptime = @file_get_contents('/proc/uptime');

        return $uptime === false ? null : (float) $uptime;
    }

    /** Another one after every start. */
    public function boot(): string
    {
        return trim((string) @file_get_contents('/proc/sys/kernel/random/boot_id'));
    }
}
