<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Mesh;
use Aqbel\Core\Quantity\Range;

/**
 * How sure a plan's volumes are, from how well heights and volumes of its circuit are known: the same drain and fill on
 * circuits that it may really be, on a coarser mesh whose own error is taken off.
 */
final readonly class Ranges
{
    public const LEAST_DRAWS = 40;

    /** So many are drawn where nobody asks for more. */
    public const USUAL_DRAWS = 200;

    /** A mesh of about so many cells is fine enough, and no finer than twice the usual. */
    private const CELLS = 600;

    private const FINEST = 2.0;

    private const COARSEST = 5.0;

    /** The order is sure where it is the same in so many cases. */
    private const SURE = 0.95;

    /**
     * @param  list<DrainRange>  $drains  in the order they are opened
     * @param  bool  $orderSure  whether the bleed points run in the planned order, and the same ones do
     * @param  ?Settling  $settlesMost  null where no air hangs on any
     */
    private function __construct(
        public array $drains,
        public Range $retainedMl,
        public Range $airMl,
        public bool $orderSure,
        public ?Settling $settlesMost,
    ) {
    }

    public static function of(Circuit $circuit, Plan $plan, int $seed = 1, int $draws = self::USUAL_DRAWS): self
    {
        $pours = $plan->school->pours($circuit, $plan->choices);
        $pour = $pours[count($pours) - 1];
        $coarseness = self::coarseness($circuit);
        $here = DrawnJob::of($circuit, $plan, $pour, $coarseness);
        $drawn = Draws::of($circuit, $seed, $draws);
        $others = [];
        for ($i = 0; $i < $draws; $i++) {
            $others[] = DrawnJob::of($drawn->circuit($i), $plan, $pour, $coarseness);
        }
        $drains = [];
        foreach ($plan->predicted->drains as $i => $drain) {
            $ml = array_map(
                fn (DrawnJob $other) => max(0.0, $drain->volumeMl + $other->drainsMl[$i] - $here->drainsMl[$i]),
                $others,
            );
            $drains[] = new DrainRange($drain->port, Range::of($drain->volumeMl, $ml));
        }
        $stays = $plan->predicted->retainedMl;
        $air = array_map(fn (DrawnJob $other) => self::air($plan, $here, $other), $others);
        $same = array_filter($others, fn (DrawnJob $other) => $other->order === $here->order);

        return new self(
            $drains,
            $plan->choices->arrivesEmpty()
                ? Range::sure(0.0)
                : Range::of(
                    $stays,
                    array_map(
                        fn (DrawnJob $other) => max(0.0, $stays + $other->retainedMl - $here->retainedMl),
                        $others,
                    ),
                ),
            Range::of($plan->fill->airMl, $air),
            count($same) >= self::SURE * $draws,
            Settling::most(
                $drawn,
                array_map(fn (DrawnJob $other) => $other->airMl, $others),
                fn (Circuit $other): float => DrawnJob::airMl($other, $plan, $pour, $coarseness),
            ),
        );
    }

    /** Of the mesh that many circuits are tried on. */
    public static function coarseness(Circuit $circuit): float
    {
        return max(self::FINEST, min(self::COARSEST, (new Mesh($circuit, []))->size() / self::CELLS));
    }

    /** Air that the plan's own way leaves there: by the pour alone, with what warm-ups work out, or by vacuum. */
    public static function air(Plan $plan, DrawnJob $here, DrawnJob $other): float
    {
        return match (true) {
            $plan->school->mixedOutside() => $plan->fill->airMl * $other->neededMl / $here->neededMl,
            $plan->fill->estimate && $here->airMl > 0.0 => $plan->fill->airMl * $other->airMl / $here->airMl,
            default => max(0.0, $plan->fill->airMl + $other->airMl - $here->airMl),
        };
    }
}
