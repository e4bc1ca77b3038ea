<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** Where coolant or air gets in or out at a node, and how the technician reaches it. */
final readonly class Port
{
    public const KINDS = ['fill', 'bleed', 'drain'];

    /** @param  ?float  $torqueNm null: tightened by feel, no figure known */
    public function __construct(
        public string $id,
        public string $node,
        public string $kind,
        public string $label,
        public string $access,
        public string $tool,
        public ?float $torqueNm,
        public string $washer,
    ) {
    }
}
