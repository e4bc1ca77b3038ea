<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** A point of its own was opened to pour through, a funnel in it. */
final readonly class FunnelIn extends Event
{
    public static function form(): string
    {
        return 'opened';
    }
}
