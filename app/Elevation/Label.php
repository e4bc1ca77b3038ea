<?php

declare(strict_types=1);

namespace App\Elevation;

/** A name beside its part. Drawing units; y is the base of its first line. */
final readonly class Label
{
    public const PART = 'part';

    public const POCKET = 'pocket';

    public const DATUM = 'datum';

    public const LINE = 17.0;

    /** More than any font of a tablet needs. */
    private const LETTER = 8.4;

    private const RISES = 13.0;

    /**
     * @param  list<string>  $lines
     * @param  string  $anchor  start, middle or end
     * @param  int  $named  so many of the lines, the first ones, are the name of a part
     */
    public function __construct(
        public string $kind,
        public array $lines,
        public float $x,
        public float $y,
        public string $anchor,
        public int $named = 0,
    ) {
    }

    public function box(): Box
    {
        $width = self::LETTER * max([1, ...array_map(mb_strlen(...), $this->lines)]);
        $left = match ($this->anchor) {
            'start' => $this->x,
            'end' => $this->x - $width,
            default => $this->x - $width / 2.0,
        };

        return new Box($left, $this->y - self::RISES, $width, self::LINE * count($this->lines));
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
}
