<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

/** A line that was not written: the field, and what to enter instead. */
final readonly class Refusal
{
    public function __construct(public ScriptLine $line, public string $field, public string $message)
    {
    }
}
