<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** A point of the circuit: x forward from the front axle, z up from the floor, in mm. */
final readonly class Node
{
    public function __construct(public string $id, public float $xMm, public float $zMm, public string $label)
    {
    }
}
