<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Draws;

/** One thing a circuit says of a job before it is measured, with what heights and volumes within their ± leave open. */
final readonly class Predicted
{
    /** Circuits drawn within their ±. */
    private const DRAWS = 60;

    private const SEED = 1;

    private const SHARE_95 = 1.96;

    /**
     * @param  bool  $stays  what stays inside; else what a drain lets out
     * @param  float  $deviationMl  one standard deviation
     */
    private function __construct(public bool $stays, public float $ml, public float $deviationMl)
    {
    }

    /** @return list<self> in the order of measured() */
    public static function of(Circuit $circuit, MeasuredJob $job): array
    {
        $figures = new Figures($circuit, [$job]);
        $drawn = Draws::of($circuit, self::SEED, self::DRAWS);
        $said = array_map(fn (int $i): array => $figures->by($drawn->circuit($i)), range(0, self::DRAWS - 1));
        $all = [];
        foreach ($figures->by($circuit) as $i => $ml) {
            $variance = array_sum(array_map(fn (array $one): float => ($one[$i] - $ml) ** 2, $said)) / self::DRAWS;
            $all[] = new self(str_ends_with($figures->names[$i], 'retained'), $ml, sqrt($variance));
        }

        return $all;
    }

    /**
     * @return list<array{float, float}> mL that a job measured, and
     * one standard deviation of that, in the order of of()
     */
    public static function measured(Circuit $circuit, MeasuredJob $job): array
    {
        $figures = new Figures($circuit, [$job]);

        return array_map(
            fn (float $ml, float $variance): array => [$ml, sqrt($variance)],
            $figures->measured,
            $figures->variance,
        );
    }

    /** Whether what was measured lies in what was said with 19 in 20: the ± of the circuit and that of the vessels. */
    public function holds(float $measuredMl, float $deviationMl): bool
    {
        return abs($measuredMl - $this->ml) <= self::SHARE_95 * sqrt($this->deviationMl ** 2 + $deviationMl ** 2);
    }
}
