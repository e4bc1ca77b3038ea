<?php

declare(strict_types=1);

namespace Aqbel\Core;

/**
 * Named values as they are stored: codes, numbers in the core's units, ticks, typed text and lists of ids. Reading one
 * that is not there, or is of another kind, gives nothing; it never fails.
 *
 * @phpstan-type Value float|int|string|bool|list<string>|null
 */
final readonly class Values
{
    /** @param  array<string, Value>  $values */
    public function __construct(private array $values = [])
    {
    }

    /**
     * As decoded from storage. What is no value, or has no name, is left out; of a list or map of texts only the texts
     * count.
     *
     * @param  array<mixed>  $data
     */
    public static function fromArray(array $data): self
    {
        foreach ($data as $name => $value) {
            if (is_array($value)) {
                $data[$name] = array_values(array_filter($value, is_string(...)));
            }
            if (is_int($name) || ($value !== null && ! is_scalar($value) && ! is_array($value))) {
                unset($data[$name]);
            }
        }

        /** @var array<string, Value> $data */
        return new self($data);
    }

    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    public function number(string $name): ?float
    {
        $value = $this->values[$name] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    /** A whole number; 0 when there is none. */
    public function whole(string $name): int
    {
        $value = $this->values[$name] ?? 0;

        return is_numeric($value) ? (int) $value : 0;
    }

    /** A code or a typed text; empty when there is none. */
    public function text(string $name): string
    {
        $value = $this->values[$name] ?? '';

        return is_string($value) ? $value : '';
    }

    public function ticked(string $name): bool
    {
        return ($this->values[$name] ?? false) === true;
    }

    /** @return list<string> */
    public function list(string $name): array
    {
        $value = $this->values[$name] ?? [];

        return is_array($value) ? $value : [];
    }

    /** @return list<string> names of what is ticked */
    public function allTicked(): array
    {
        return array_map(strval(...), array_keys(array_filter($this->values, fn (mixed $value) => $value === true)));
    }

    /** @param  Value  $value */
    public function with(string $name, float|int|string|bool|array|null $value): self
    {
        return new self([...$this->values, $name => $value]);
    }

    public function and(self $other): self
    {
        return new self([...$this->values, ...$other->values]);
    }

    /** @return Value */
    public function raw(string $name): float|int|string|bool|array|null
    {
        return $this->values[$name] ?? null;
    }

    /** @return array<string, Value> */
    public function toArray(): array
    {
        return $this->values;
    }
}
