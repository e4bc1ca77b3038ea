<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** Why a school cannot be taken: in a few words for the comparison, and with the remedy where somebody asked for it. */
final readonly class Misfit
{
    /** What it fills leaves a jacket dry. */
    public const DRY = 'leaves_jackets_dry';

    public string $remedy;

    /** @param  string  $lacks  what the vehicle may have and its circuit does not name; empty where that is not it */
    public function __construct(
        public string $code,
        public string $because,
        string $remedy,
        public string $lacks = '',
    ) {
        $this->remedy = rtrim("{$remedy} {$lacks}");
    }
}
