<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** One line of a job's journal as it counts now: corrections already applied, the first entry's time kept. */
final readonly class Entry
{
    /**
     * @param  int  $at  Unix seconds
     * @param  array<string, mixed>  $values  in the core's units
     * @param  array<string, string>  $typed  quantities as typed
     * @param  ?array{by: string, at: int, reason: string}  $correction
     */
    public function __construct(
        public int $seq,
        public int $at,
        public string $person,
        public string $step,
        public string $form,
        public array $values = [],
        public array $typed = [],
        public ?array $correction = null,
        /** What was entered, in words. */
        public string $said = '',
    ) {
    }

    public function number(string $name): ?float
    {
        $value = $this->values[$name] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    public function text(string $name): string
    {
        $value = $this->values[$name] ?? '';

        return is_string($value) ? $value : '';
    }

    public function ticked(string $name): bool
    {
        return ($this->values[$name] ?? false) === true;
    }
}
