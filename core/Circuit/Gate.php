<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/**
 * A thermostat or valve that cuts its passage at the `from` end while shut, unless it weeps (jiggle pin).
 */
final readonly class Gate
{
    /** @param  bool  $sure  whether somebody looked if it weeps; else it is taken as such vehicles usually are */
    public function __construct(
        public string $id,
        public string $passage,
        public GateKind $kind,
        public bool $weeps,
        public string $label,
        public bool $sure = true,
    ) {
    }

    /** The same, weeping where it was taken not to, and the other way round. */
    public function otherwise(): self
    {
        return new self($this->id, $this->passage, $this->kind, ! $this->weeps, $this->label, $this->sure);
    }
}
