<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\PortKind;

/** A port as the side view marks it: numbered, with how it stands. */
final readonly class Mark
{
    /**
     * @param  array{float, float}  $at  where the port itself is
     * @param  bool  $next  whether coolant comes to it next
     */
    public function __construct(
        public string $id,
        public int $number,
        public PortKind $kind,
        public float $x,
        public float $y,
        public array $at,
        public string $label,
        public string $state,
        public string $note,
        public bool $focus,
        public bool $next = false,
    ) {
    }
}
