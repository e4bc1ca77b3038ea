<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/** What a cold circuit took to the mark. */
final readonly class TopUp
{
    /** @param  float  $plusMinusMl  within which 95 % of such readings lie */
    public function __construct(public float $ml, public float $plusMinusMl)
    {
    }
}
