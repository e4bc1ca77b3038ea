<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Maker;

/** A node of a layout, where it stands on a usual vehicle. */
final class SketchNode
{
    /**
     * @param  float  $x  forward from the front axle, mm
     * @param  float  $z  above the floor, mm
     * @param  list<string>  $follows  nodes between whose heights it stands, where nobody measures its own
     * @param  ?string  $ask  what a tape is held to; null where nobody would measure it
     */
    public function __construct(
        public float $x,
        public float $z,
        public string $label,
        public array $follows,
        public ?string $ask,
    ) {
    }
}
