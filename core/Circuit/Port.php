<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** Where coolant or air gets in or out at a node, and how the technician reaches it. */
final readonly class Port
{
    /**
     * @param  ?float  $torqueNm null: tightened by feel, no figure known
     * @param  list<string>  $behind  covers that must be off to reach it
     * @param  float  $minutes  hands on this point itself, covers not counted
     */
    public function __construct(
        public string $id,
        public string $node,
        public PortKind $kind,
        public string $label,
        public string $access,
        public string $tool,
        public ?float $torqueNm,
        public string $washer,
        public array $behind = [],
        public float $minutes = 4.0,
    ) {
    }
}
