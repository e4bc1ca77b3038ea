<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** A straight run between two nodes with its volume spread evenly. Kind `tank` has headspace. */
final readonly class Passage
{
    public const KINDS = ['hose', 'radiator', 'block', 'head', 'heater', 'tank', 'recovery', 'line', 'pump', 'cooler'];

    public function __construct(
        public string $id,
        public string $from,
        public string $to,
        public float $volumeMl,
        public string $kind,
        public string $label,
    ) {
    }

    public function hasHeadspace(): bool
    {
        return $this->kind === 'tank';
    }
}
