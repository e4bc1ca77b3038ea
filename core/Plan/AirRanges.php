<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Quantity\Range;

/**
 * How sure the air is that each way leaves in one circuit: all of
 * them tried on the same circuits that it may really be.
 */
final class AirRanges
{
    /** @var list<Circuit> */
    private array $others;

    /** @var array<string, array{DrawnJob, list<DrawnJob>}> here and on the others, by pour */
    private array $tried = [];

    public function __construct(private readonly Circuit $circuit, int $seed = 1, int $draws = Ranges::LEAST_DRAWS)
    {
        $drawn = Draws::of($circuit, $seed, $draws);
        $this->others = array_map($drawn->circuit(...), range(0, $draws - 1));
    }

    /** mL, in nineteen cases of twenty */
    public function of(Plan $plan): Range
    {
        $pours = $plan->school->pours($this->circuit, $plan->choices);
        $pour = $pours[count($pours) - 1];
        $coarseness = Ranges::coarseness($this->circuit);
        $try = fn (Circuit $circuit): DrawnJob => DrawnJob::of($circuit, $plan, $pour, $coarseness);
        [$here, $others] = $this->tried[serialize($pour)] ??= [$try($this->circuit), array_map($try, $this->others)];

        return Range::of(
            $plan->fill->airMl,
            array_map(fn (DrawnJob $other) => Ranges::air($plan, $here, $other), $others),
        );
    }
}
