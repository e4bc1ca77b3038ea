<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** A thermostat or valve that cuts its passage at the `from` end while shut, unless it weeps (jiggle pin). */
final readonly class Gate
{
    public function __construct(
        public string $id,
        public string $passage,
        public GateKind $kind,
        public bool $weeps,
        public string $label,
    ) {
    }
}
