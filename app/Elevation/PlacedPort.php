<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Port;

/** A numbered marker in drawing units, and where the port itself is. */
final readonly class PlacedPort
{
    /** @param  array{float, float}  $at */
    public function __construct(
        public Port $port,
        public int $number,
        public float $x,
        public float $y,
        public array $at,
    ) {
    }
}
