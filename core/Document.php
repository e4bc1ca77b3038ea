<?php

declare(strict_types=1);

namespace Aqbel\Core;

/** Reads a decoded JSON object field by field; every complaint names the field and says what to enter. */
readonly class Document
{
    /** @param  array<mixed>  $fields */
    final public function __construct(protected array $fields, protected string $path = '')
    {
    }

    public function has(string $name): bool
    {
        return isset($this->fields[$name]);
    }

    /** @throws InvalidField when missing without a default, no number, or out of range */
    public function number(string $name, float $least, float $most, ?float $default = null): float
    {
        $value = $this->fields[$name] ?? $default ?? throw $this->invalid($name, "Give {$name} as a number from ".self::plain($least).' to '.self::plain($most).'.');
        if (! is_int($value) && ! is_float($value)) {
            throw $this->invalid($name, "{$name} must be a JSON number, without quotes or unit.");
        }
        if (! is_finite((float) $value) || $value < $least || $value > $most) {
            throw $this->invalid($name, "{$name} must lie between ".self::plain($least).' and '.self::plain($most).'.');
        }

        return (float) $value;
    }

    public function optionalNumber(string $name, float $least, float $most): ?float
    {
        return $this->has($name) ? $this->number($name, $least, $most) : null;
    }

    /** @param  non-empty-list<string>  $choices */
    public function choice(string $name, array $choices, ?string $default = null): string
    {
        $value = $this->fields[$name] ?? $default;
        if (! is_string($value) || ! in_array($value, $choices, true)) {
            throw $this->invalid($name, "{$name} must be one of: ".implode(', ', $choices).'.');
        }

        return $value;
    }

    /** @return list<static> the objects of a list, each complaining under its own index */
    public function objects(string $name, int $least = 1, int $most = 100000): array
    {
        $value = $this->fields[$name] ?? [];
        if (! is_array($value) || ! array_is_list($value) || count($value) < $least || count($value) > $most) {
            throw $this->invalid($name, "{$name} must be a list of {$least} to {$most} objects.");
        }

        return array_map(
            fn (int $i, mixed $item) => is_array($item) ? new static($item, "{$this->path}{$name}.{$i}.") : throw $this->invalid("{$name}.{$i}", 'Each entry must be a JSON object.'),
            array_keys($value), $value,
        );
    }

    /** @return list<string> */
    public function names(string $name): array
    {
        $value = $this->fields[$name] ?? [];
        if (! is_array($value) || ! array_is_list($value) || array_filter($value, is_string(...)) !== $value) {
            throw $this->invalid($name, "{$name} must be a list of names.");
        }

        return $value;
    }

    /** @return array<mixed> */
    public function object(string $name): array
    {
        $value = $this->fields[$name] ?? null;

        return is_array($value) ? $value : throw $this->invalid($name, "{$name} must be a JSON object.");
    }

    public function text(string $name): string
    {
        $value = $this->fields[$name] ?? null;

        return is_string($value) && $value !== '' ? $value : throw $this->invalid($name, "{$name} must be a text.");
    }

    protected function invalid(string $name, string $remedy): InvalidField
    {
        return new InvalidField($this->path.$name, $remedy);
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 3, '.', ''), '0'), '.');
    }
}
