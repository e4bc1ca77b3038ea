<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** What was opened to pour through is closed again, its clamp on its marks. */
final readonly class PutBack extends Event
{
    public static function form(): string
    {
        return 'closed';
    }
}
