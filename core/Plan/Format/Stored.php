<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan\Format;

use Aqbel\Core\Document;

/** Reads back what this application stored itself, now or long ago: whatever is missing has its default. */
final readonly class Stored
{
    public function __construct(private Document $in)
    {
    }

    /** @param  array<mixed>  $data */
    public static function of(array $data): self
    {
        return new self(new Document($data, lenient: true));
    }

    public function number(string $name, float $default = 0.0): float
    {
        return $this->in->number($name, -INF, INF, $default);
    }

    public function maybe(string $name): ?float
    {
        return $this->in->optionalNumber($name, -INF, INF);
    }

    public function text(string $name, string $default = ''): string
    {
        return $this->in->line($name, PHP_INT_MAX) ?? $default;
    }

    public function isTrue(string $name): bool
    {
        return $this->in->isTrue($name);
    }

    public function has(string $name): bool
    {
        return $this->in->has($name);
    }

    /** @return list<string> */
    public function names(string $name): array
    {
        return $this->in->names($name);
    }

    public function child(string $name): self
    {
        return new self($this->in->child($name));
    }

    /** @return array<string, self> */
    public function children(): array
    {
        return array_map(fn (Document $child) => new self($child), $this->in->children());
    }

    /**
     * @template T
     *
     * @param  \Closure(self): T  $make
     * @return list<T>
     */
    public function listOf(string $name, \Closure $make): array
    {
        return array_map($make, array_values($this->child($name)->children()));
    }

    /** @return array<string, float> */
    public function numbers(): array
    {
        return $this->in->numbers();
    }

    /** @return array<mixed> */
    public function toArray(): array
    {
        return $this->in->toArray();
    }
}
