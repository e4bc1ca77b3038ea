<?php

declare(strict_types=1);

namespace App\Elevation;

/** A name in the margin, with the line that leads to its part. Drawing units. */
final readonly class Label
{
    public const PART = 'part';

    public const POCKET = 'pocket';

    public const DATUM = 'datum';

    /** Keeps the left margin free where the datum crosses it. */
    public const SPACE = 'space';

    /**
     * @param  list<string>  $lines
     * @param  array{float, float}  $to
     * @param  array{float, float}  $from
     */
    public function __construct(
        public string $kind,
        public array $lines,
        public float $x,
        public float $y,
        public string $anchor,
        public array $from,
        public array $to,
    ) {
    }

    /** The style it is drawn in. */
    public function style(): string
    {
        return match ($this->kind) {
            self::DATUM => 'el-datum-text',
            self::POCKET => 'el-pocket-text',
            default => 'el-label',
        };
    }

    /** Whether a line leads from it to its part. */
    public function leads(): bool
    {
        return $this->kind === self::PART || $this->kind === self::POCKET;
    }
}
