<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/** What a circuit took to its mark. */
final readonly class TopUp
{
    /**
     * @param  float  $plusMinusMl  within which 95 % of such readings lie
     * @param  ?float  $atHours  since the first of its series; null where nobody knows
     */
    public function __construct(public float $ml, public float $plusMinusMl, public ?float $atHours = null)
    {
    }
}
