<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Heat\Purging;

/**
 * Where the air of a fill leaves, point by point, and what would let the rest go: each tried on the model, alone and on
 * top of what is planned.
 */
final readonly class AirsWay
{
    /** Steps of nose and funnel, the lowest that helps is named (common practice, no source). */
    private const HEIGHTS_MM = [100.0, 200.0, 300.0];

    /** What leaves more than this share of a pocket does not free it. */
    private const STILL_THERE = 0.5;

    /** A pocket smaller than this share of the capacity is not gone after. */
    private const HARDLY = 0.002;

    /**
     * @param  list<PortRun>  $flows  bleed points in the order in
     * which coolant comes to them, with what has gone in by then
     * @param  list<SilentPort>  $silent  those that stay open and never run
     * @param  list<CaughtAir>  $caught  largest first
     */
    private function __construct(public array $flows, public array $silent, public array $caught)
    {
    }

    public static function of(Circuit $circuit, Plan $plan, ?Simulations $fills = null): self
    {
        $fills ??= new Simulations($circuit, $plan->choices);
        $pours = $plan->school->pours($circuit, $plan->choices);
        $pour = $pours[count($pours) - 1];
        $caught = [];
        foreach ($plan->fill->pockets as $pocket) {
            if (! $pocket->open && $pocket->volumeMl() > self::HARDLY * $circuit->capacityMl()) {
                $caught[] = new CaughtAir($pocket, self::freers($circuit, $plan, $fills, $pour, $pocket));
            }
        }

        return new self($plan->fill->flows, $plan->fill->silent, $caught);
    }

    /** @return list<Freer> */
    private static function freers(
        Circuit $circuit,
        Plan $plan,
        Simulations $fills,
        PlannedPour $pour,
        Pocket $pocket,
    ): array {
        $freers = [];
        $enough = self::STILL_THERE * $pocket->volumeMl();
        $try = function (PlannedPour $other, Frees $by, float $mm, string $port) use (
            &$freers,
            $fills,
            $plan,
            $pocket,
            $enough,
        ): bool {
            $fill = $fills->of($other);
            $leaves = self::left($fill, $pocket);
            if ($leaves <= $enough && $fill->airMl < $plan->fill->airMl) {
                $freers[] = new Freer($by, $leaves, $fill->airMl, $mm, $port);

                return true;
            }

            return false;
        };
        foreach ($circuit->portsOf(PortKind::Bleed) as $port) {
            if (! in_array($port->id, $pour->open, true)) {
                $try(
                    $pour->but(open: [...$pour->open, $port->id]),
                    Frees::Point,
                    0.0,
                    $port->id,
                );
            }
        }
        foreach (self::HEIGHTS_MM as $mm) {
            if (
                $try(
                    $pour->but(noseLiftMm: $pour->noseLiftMm + $mm),
                    Frees::Raise,
                    $mm,
                    '',
                )
            ) {
                break;
            }
        }
        foreach (self::HEIGHTS_MM as $mm) {
            if (
                $try(
                    $pour->but(headMm: $pour->headMm + $mm),
                    Frees::Funnel,
                    $mm,
                    '',
                )
            ) {
                break;
            }
        }
        usort($freers, fn (Freer $a, Freer $b) => [round($a->airMl), $a->byMm] <=> [round($b->airMl), $b->byMm]);

        return [...$freers, ...self::otherwise($circuit, $plan, $pocket)];
    }

    /** Air of one pocket that another fill leaves where it stood. */
    private static function left(Filling $fill, Pocket $pocket): float
    {
        $left = 0.0;
        foreach ($fill->pockets as $other) {
            foreach ($pocket->air->toArray() as $passage => $ml) {
                $left += $other->open ? 0.0 : min($ml, $other->air->in($passage));
            }
        }

        return $left;
    }

    /**
     * @return list<Freer> what needs no other pour: the vacuum in its place,
     * whose air gathers under the neck, or the engine after it
     */
    private static function otherwise(Circuit $circuit, Plan $plan, Pocket $pocket): array
    {
        $freers = [];
        if ($plan->choices->jobKind !== JobKind::Bleed && ! $plan->school->mixedOutside()) {
            $vacuum = VacuumFill::of($circuit, $plan->choices, $plan->predicted);
            $share = VacuumFill::leaves($vacuum, $plan->predicted);
            $freers[] = new Freer(Frees::Vacuum, $share * $pocket->volumeMl(), $share * $plan->fill->airMl);
        }
        if ($plan->fill->wetsTheJackets($circuit)) {
            $left = Purging::leftByCycle($plan->rules()->purgingFactor);
            $freers[] = new Freer(Frees::Run, $left * $pocket->volumeMl(), $left * $plan->fill->airMl);
        }

        return $freers;
    }
}
