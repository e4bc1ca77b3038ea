<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** A figure and where it lies in nineteen cases of twenty. */
final readonly class Range
{
    /** Wider than this share of the figure, and the figure alone says too little. */
    private const TELLING = 0.10;

    /** Left out at either end. */
    private const TAIL = 0.025;

    private function __construct(public float $value, public float $low, public float $high)
    {
    }

    /** A figure nothing is doubted of. */
    public static function sure(float $value): self
    {
        return new self($value, $value, $value);
    }

    /**
     * @param  float  $value  as it is reckoned from what was measured
     * @param  list<float>  $drawn  the same from what may have been there instead; none, and nothing is doubted
     */
    public static function of(float $value, array $drawn): self
    {
        if ($drawn === []) {
            return self::sure($value);
        }
        sort($drawn);

        return new self(
            $value,
            min($value, self::at($drawn, self::TAIL)),
            max($value, self::at($drawn, 1.0 - self::TAIL)),
        );
    }

    /** As far off on either side. */
    public static function within(float $value, float $plusMinus): self
    {
        return new self($value, $value - $plusMinus, $value + $plusMinus);
    }

    /** What is left of a whole: as much as this is less, that is more. */
    public function restOf(float $rest): self
    {
        return new self($rest, $rest - ($this->high - $this->value), $rest + ($this->value - $this->low));
    }

    public function span(): float
    {
        return $this->high - $this->low;
    }

    /** Whether the range has to be said, since the figure alone would claim too much. */
    public function isWide(): bool
    {
        return $this->span() > self::TELLING * abs($this->value);
    }

    /**
     * So much of what may be lies below: between the two drawn values there.
     *
     * @param  non-empty-list<float>  $sorted
     */
    private static function at(array $sorted, float $share): float
    {
        $last = count($sorted) - 1;
        $place = min((float) $last, max(0.0, $share * ($last + 2) - 1.0));
        $below = (int) floor($place);

        return $sorted[$below] + ($place - $below) * ($sorted[min($last, $below + 1)] - $sorted[$below]);
    }
}
