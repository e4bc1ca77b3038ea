<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/** Top-ups explained as air·ratioⁿ + leak, mL, and how badly, in χ². */
final readonly class TopUpFit
{
    public function __construct(public float $air, public float $ratio, public float $leak, public float $chi2)
    {
    }
}
