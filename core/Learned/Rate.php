<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

/**
 * How one thing goes in a shop beside how it usually goes, by its
 * own jobs; and whether that tells the next job better.
 */
final readonly class Rate
{
    /** Fewer jobs say nothing. */
    public const LEAST = 4;

    /** Left out one by one, jobs have to be told better by so much; less is chance (common practice, no source). */
    private const BETTER = 0.95;

    private const SHARE_95 = 1.96;

    /**
     * @param  float  $factor  times what is usual
     * @param  float  $low  95 % range
     * @param  bool  $tellsBetter  each job by all others, against what is usual
     */
    private function __construct(
        public float $factor,
        public float $low,
        public float $high,
        public int $jobs,
        public bool $tellsBetter,
    ) {
    }

    /**
     * Null where there are too few.
     *
     * @param  list<float>  $ratios  measured over usual, one for each job
     */
    public static function of(array $ratios): ?self
    {
        $logs = array_map(log(...), array_values(array_filter($ratios, fn (float $ratio) => $ratio > 0.0)));
        $count = count($logs);
        if ($count < self::LEAST) {
            return null;
        }
        $sum = array_sum($logs);
        $mean = $sum / $count;
        $error = sqrt(array_sum(array_map(fn (float $log) => ($log - $mean) ** 2, $logs)) / ($count - 1) / $count);
        $usual = array_sum(array_map(abs(...), $logs));
        $own = array_sum(array_map(fn (float $log) => abs($log - ($sum - $log) / ($count - 1)), $logs));

        return new self(
            exp($mean),
            exp($mean - self::SHARE_95 * $error),
            exp($mean + self::SHARE_95 * $error),
            $count,
            $own < self::BETTER * $usual,
        );
    }
}
