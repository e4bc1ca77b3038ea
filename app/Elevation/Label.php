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
        $width = max([self::LETTER, ...array_map(self::width(...), $this->lines)]);
        $left = match ($this->anchor) {
            'start' => $this->x,
            'end' => $this->x - $width,
            default => $this->x - $width / 2.0,
        };

        return new Box($left, $this->y - self::RISES, $width, self::LINE * count($this->lines));
    }

    /** Of one of its lines. */
    public static function width(string $line): float
    {
        return self::LETTER * mb_strlen($line);
    }

    /** The style one of its lines is drawn in. */
    public function style(int $line): string
    {
        return match (true) {
            $this->kind === self::DATUM => 'el-datum-text',
            $this->kind === self::POCKET && $line >= $this->named => 'el-pocket-text',
            default => 'el-label',
        };
    }
}
