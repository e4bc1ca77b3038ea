<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

/**
 * What several jobs measured of one thing, as one number. A circuit is the same in all of them: who is far from the others
 * misread, mistyped or had another vehicle, and teaches nothing; and where they differ by more than their vessels, it is
 * their own spread that says how sure the mean is.
 */
final readonly class Mean
{
    /** So many standard deviations from the middle of three or more is none of theirs. */
    private const FAR = 4.0;

    /** The median of absolute deviations, as a standard deviation (normal distribution: 1 / Φ⁻¹(0.75)). */
    private const MAD = 1.4826;

    private function __construct(public float $ml, public float $variance, public int $leftOut)
    {
    }

    /** @param  non-empty-list<array{float, float}>  $told  mL and its standard deviation */
    public static function of(array $told): self
    {
        $kept = count($told) < 3 ? $told : self::together($told);
        $n = count($kept);
        $mean = array_sum(array_column($kept, 0)) / $n;
        $read = array_sum(array_map(fn (array $one): float => $one[1] ** 2, $kept)) / $n;
        $seen = $n === 1
            ? 0.0
            : array_sum(array_map(fn (array $one): float => ($one[0] - $mean) ** 2, $kept)) / ($n - 1);

        return new self($mean, max($read, $seen) / $n, count($told) - $n);
    }

    /**
     * @param  non-empty-list<array{float, float}>  $told
     * @return non-empty-list<array{float, float}>
     */
    private static function together(array $told): array
    {
        $middle = self::median(array_column($told, 0));
        $spread = self::MAD * self::median(array_map(fn (array $one): float => abs($one[0] - $middle), $told));
        $kept = array_values(
            array_filter(
                $told,
                fn (array $one): bool => abs($one[0] - $middle) <= self::FAR * max($one[1], $spread),
            ),
        );

        return $kept === [] ? $told : $kept;
    }

    /** @param  non-empty-list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2.0;
    }
}
