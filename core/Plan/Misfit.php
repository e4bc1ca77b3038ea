<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** Why a school cannot be taken: in a few words for the comparison, and with the remedy where somebody asked for it. */
final readonly class Misfit
{
    /** What it fills leaves a jacket dry. */
    public const DRY = 'leaves_jackets_dry';

    public function __construct(public string $code, public string $because, public string $remedy)
    {
    }
}
