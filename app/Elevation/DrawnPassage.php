<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\PassageKind;

/** A passage's outline and what is in it, as polygons in drawing units. */
final readonly class DrawnPassage
{
    /**
     * @param  string  $outline  as the points of a polygon
     * @param  list<string>  $coolant
     * @param  list<string>  $trapped
     */
    public function __construct(
        public string $id,
        public PassageKind $kind,
        public string $outline,
        public array $coolant,
        public array $trapped,
    ) {
    }

    /** Thin lines lie over broad parts. */
    public function depth(): int
    {
        return match ($this->kind) {
            PassageKind::Radiator, PassageKind::Tank, PassageKind::Block, PassageKind::Head, PassageKind::Cooler => 0,
            PassageKind::Heater, PassageKind::Pump => 1,
            default => 2,
        };
    }
}
