<?php

declare(strict_types=1);

namespace Aqbel\Core;

/** Everything that is wrong with one entry, field by field. */
final class InvalidFields extends \DomainException
{
    /** @param  non-empty-list<InvalidField>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct($problems[0]->getMessage());
    }

    /** The same complaints seen from the enclosing structure. */
    public function within(string $path): self
    {
        return new self(array_map(fn (InvalidField $problem) => $problem->within($path), $this->problems));
    }

    /** @return array<string, string> remedy by field */
    public function byField(): array
    {
        return array_combine(
            array_map(fn (InvalidField $p) => $p->field, $this->problems),
            array_map(fn (InvalidField $p) => $p->getMessage(), $this->problems),
        );
    }
}
