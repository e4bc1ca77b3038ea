<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\DrainedPort;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\PortRun;

/** What a plan would come to on a circuit that may be the real one. */
final readonly class DrawnJob
{
    /**
     * @param  list<float>  $drainsMl  in the order they are opened, from a circuit full to its mark
     * @param  float  $airMl  what the last pour leaves
     * @param  float  $neededMl  what the fill takes
     * @param  list<string>  $order  bleed points as they run
     */
    private function __construct(
        public array $drainsMl,
        public float $retainedMl,
        public float $airMl,
        public float $neededMl,
        public array $order,
    ) {
    }

    public static function of(Circuit $circuit, Plan $plan, PlannedPour $pour, float $coarseness): self
    {
        $out = self::drained($circuit, $plan, $coarseness);
        $in = self::filled($circuit, $plan, $pour, $coarseness, $out);
        $headspace = $circuit->headspaceMl();

        return new self(
            Drainage::belowHeadspace(array_map(fn (DrainedPort $drain) => $drain->volumeMl, $out->drains), $headspace),
            $out->retainedMl,
            $in->airMl,
            max(1.0, $circuit->capacityMl() - $headspace - $out->retainedMl),
            array_map(fn (PortRun $flow) => $flow->port, $in->flows),
        );
    }

    /** Air alone: what a fill leaves, mL. */
    public static function airMl(Circuit $circuit, Plan $plan, PlannedPour $pour, float $coarseness): float
    {
        return self::filled($circuit, $plan, $pour, $coarseness)->airMl;
    }

    private static function drained(Circuit $circuit, Plan $plan, float $coarseness): Drainage
    {
        return Drainage::of(
            $circuit,
            $plan->choices->drains,
            $circuit->usualGates(),
            $plan->choices->noseLiftMm,
            $circuit->portIds(PortKind::Bleed),
            $coarseness,
        );
    }

    private static function filled(
        Circuit $circuit,
        Plan $plan,
        PlannedPour $pour,
        float $coarseness,
        ?Drainage $out = null,
    ): Filling {
        return $pour->fill(
            $circuit,
            $plan->choices->fillsOnWhatStays()
                ? $plan->choices->inside(($out ?? self::drained($circuit, $plan, $coarseness))->retained)
                : new Volumes,
            $plan->choices->atmosphere()->pressure->kPa(),
            $coarseness,
        );
    }
}
