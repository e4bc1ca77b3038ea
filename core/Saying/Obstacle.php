<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/**
 * What keeps a step from being finished. A hard one is never waved through; any other may be, with a typed reason, some
 * only by those whom the house lets. The code is what the journal keeps; the text is wording.
 */
final readonly class Obstacle
{
    private function __construct(
        public string $code,
        public string $text,
        public bool $hard = false,
        public ?Gate $gate = null,
    ) {
    }

    public static function missing(string $code, string $text): self
    {
        return new self($code, $text);
    }

    /**
     * @param  array<string, string>  $texts  what may be missing, by code; empty where it is not
     * @return list<self>
     */
    public static function those(array $texts): array
    {
        $missing = array_filter($texts, fn (string $text) => $text !== '');

        return array_map(self::missing(...), array_keys($missing), array_values($missing));
    }

    /** One that only those may pass over whom the house lets pass this gate. */
    public static function at(Gate $gate, string $code, string $text): self
    {
        return new self($code, $text, gate: $gate);
    }

    public static function never(string $code, string $text): self
    {
        return new self($code, $text, hard: true);
    }
}
