<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** So much coolant or air in one part, mL. */
final readonly class PartVolume
{
    public function __construct(public Part $part, public float $ml)
    {
    }
}
