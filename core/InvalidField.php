<?php

declare(strict_types=1);

namespace Aqbel\Core;

/** Input that cannot be used: which field, and what to enter instead. */
final class InvalidField extends \DomainException
{
    public function __construct(public readonly string $field, string $remedy)
    {
        parent::__construct($remedy);
    }

    /** The same complaint seen from the enclosing structure, e.g. `readings.2.inhg`. */
    public function within(string $path): self
    {
        return new self("{$path}.{$this->field}", $this->getMessage());
    }
}
