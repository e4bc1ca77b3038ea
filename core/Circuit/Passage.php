<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** A straight run between two nodes with its volume spread evenly. */
final readonly class Passage
{
    /**
     * @param  list<string>  $behind  covers that must be off to open it
     * @param  list<string>  $parts  what opening it uses up, as the trade orders it: gasket, clamps, O-ring
     * @param  ?float  $torqueNm of its joint; null: a clamp, or by feel
     */
    public function __construct(
        public string $id,
        public string $from,
        public string $to,
        public float $volumeMl,
        public PassageKind $kind,
        public string $label,
        public array $behind = [],
        public array $parts = [],
        public ?float $torqueNm = null,
    ) {
    }

    public function hasHeadspace(): bool
    {
        return $this->kind === PassageKind::Tank;
    }
}
