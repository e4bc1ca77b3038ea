<?php

declare(strict_types=1);

namespace Aqbel\Core;

/** Reads a decoded JSON object field by field; every complaint names the field and says what to enter. */
readonly class Document
{
    /**
     * @param  array<mixed>  $fields
     * @param  bool  $lenient  for what was stored under earlier rules: limits are not held against it
     */
    final public function __construct(
        protected array $fields,
        protected string $path = '',
        protected bool $lenient = false,
    ) {
    }

    public function has(string $name): bool
    {
        return isset($this->fields[$name]);
    }

    /** @throws InvalidField when missing without a default, no number, or out of range */
    public function number(string $name, float $least, float $most, ?float $default = null): float
    {
        $value = $this->fields[$name] ?? $default ?? throw $this->invalid(
            $name,
            "Give {$name} as a number from ".self::plain($least).' to '.self::plain($most).'.',
        );
        if ($this->lenient) {
            return is_numeric($value) && is_finite((float) $value) ? (float) $value : $default ?? $least;
        }
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
        if ($this->lenient && ! in_array($value, $choices, true)) {
            return $default ?? $choices[0];
        }
        if (! is_string($value) || ! in_array($value, $choices, true)) {
            throw $this->invalid($name, "{$name} must be one of: ".implode(', ', $choices).'.');
        }

        return $value;
    }

    /** @return list<static> the objects of a list, each complaining under its own index */
    public function objects(string $name, int $least = 1, int $most = 100000): array
    {
        $value = $this->fields[$name] ?? [];
        if ($this->lenient) {
            $value = is_array($value) ? array_values(array_filter($value, is_array(...))) : [];
        } elseif (! is_array($value) || ! array_is_list($value) || count($value) < $least || count($value) > $most) {
            throw $this->invalid($name, "{$name} must be a list of {$least} to {$most} objects.");
        }

        return array_map(
            fn (int $i, mixed $item) => is_array($item) ? new static(
                $item,
                "{$this->path}{$name}.{$i}.",
                $this->lenient,
            ) : throw $this->invalid("{$name}.{$i}", 'Each entry must be a JSON object.'),
            array_keys($value), $value,
        );
    }

    /** @return list<string> */
    public function names(string $name): array
    {
        $value = $this->fields[$name] ?? [];
        if ($this->lenient) {
            return is_array($value) ? array_values(array_filter($value, is_string(...))) : [];
        }
        if (! is_array($value) || ! array_is_list($value) || array_filter($value, is_string(...)) !== $value) {
            throw $this->invalid($name, "{$name} must be a list of names.");
        }

        return $value;
    }

    /** What is kept under a name; empty when there is nothing. */
    public function child(string $name): static
    {
        $value = $this->fields[$name] ?? null;

        return new static(is_array($value) ? $value : [], "{$this->path}{$name}.", $this->lenient);
    }

    /** @return array<string, static> what is kept by key */
    public function children(): array
    {
        $children = [];
        foreach (array_keys(array_filter($this->fields, is_array(...))) as $key) {
            $children[(string) $key] = $this->child((string) $key);
        }

        return $children;
    }

    /** @return array<string, float> all that are numbers, by key */
    public function numbers(): array
    {
        $numbers = [];
        foreach ($this->fields as $key => $value) {
            if (is_int($value) || is_float($value)) {
                $numbers[(string) $key] = (float) $value;
            }
        }

        return $numbers;
    }

    /** @return array<mixed> as it was decoded */
    public function toArray(): array
    {
        return $this->fields;
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

    /** An id of letters, digits, _ or -; no number, which names nothing to whoever reads it. */
    public function id(): string
    {
        $id = $this->fields['id'] ?? null;
        $names = $this->lenient ? '/^[A-Za-z0-9_-]{1,40}$/' : '/^(?!-?\d+$)[A-Za-z0-9_-]{1,40}$/';
        if (! is_string($id) || ! preg_match($names, $id)) {
            throw $this->invalid('id', 'Give an id of letters, digits, _ or -, up to 40 characters, no number alone.');
        }

        return $id;
    }

    /**
     * One of the ids that stand elsewhere in the document.
     *
     * @param  array<string, mixed>  $known
     */
    public function oneOf(string $name, array $known, string $remedy): string
    {
        $value = $this->fields[$name] ?? null;

        return is_string($value) && isset($known[$value]) ? $value : throw $this->invalid($name, $remedy);
    }

    /** One line of text; null when there is none. */
    public function line(string $name, int $most): ?string
    {
        $value = $this->fields[$name] ?? null;
        if ($value === null || $value === '') {
            return null;
        }
        if ($this->lenient) {
            return is_string($value) ? mb_substr(trim(mb_scrub($value, 'UTF-8')), 0, $most) : null;
        }
        if (
            ! is_string($value)
            || ! mb_check_encoding($value, 'UTF-8')
            || mb_strlen($value) > $most
            || preg_match('/[\x00-\x1F]/', $value)
        ) {
            throw $this->invalid($name, "{$name} must be one line of text, up to {$most} characters.");
        }

        return trim($value);
    }

    /** @return list<string> lines of text */
    public function lines(string $name, int $mostLines, int $mostLetters, string $remedy, string $remedyForOne): array
    {
        $value = $this->fields[$name] ?? [];
        if ($this->lenient) {
            return $this->names($name);
        }
        if (! is_array($value) || ! array_is_list($value) || count($value) > $mostLines) {
            throw $this->invalid($name, $remedy);
        }
        $lines = new static($value, "{$this->path}{$name}.");

        return array_map(
            fn (int $i) => $lines->line((string) $i, $mostLetters)
                ?? throw $this->invalid("{$name}.{$i}", $remedyForOne),
            array_keys($value),
        );
    }

    public function isTrue(string $name): bool
    {
        return ($this->fields[$name] ?? false) === true;
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
