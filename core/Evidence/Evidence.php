<?php

declare(strict_types=1);

namespace Aqbel\Core\Evidence;

/** One thing a stream says, at a moment or over a stretch, seconds of the stream. */
final readonly class Evidence
{
    public function __construct(
        public Code $code,
        public float $fromS,
        public ?float $toS = null,
        public ?float $value = null,
    ) {
    }
}
