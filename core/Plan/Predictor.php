<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\DrainedPort;

/** Works out a prediction: simulated once for all schools. */
final readonly class Predictor
{
    /** Less than this is what a wall keeps wet, and no part that was emptied. */
    private const DROPS_ML = 20.0;

    private function __construct(
        private Circuit $circuit,
        private Choices $choices,
        private School $school,
        private Simulations $known,
    ) {
    }

    public static function predict(Circuit $circuit, Choices $choices, School $school, Simulations $fills): Prediction
    {
        return (new self($circuit, $choices, $school, $fills))->all();
    }

    private function all(): Prediction
    {
        $circuit = $this->circuit;
        $drainage = $this->drainedBy($this->choices->drains);
        $cold = $this->known->of(
            PlannedPour::atTheNeck($circuit, $this->choices->bleedsOf($circuit), $circuit->facts->coldHeadMm),
        );
        $usable = $circuit->capacityMl() - $cold->headspaceMl;
        $empty = $this->choices->arrivesEmpty();
        $retained = $empty ? 0.0 : $drainage->retainedMl;
        $mix = $this->choices->mix($circuit, $usable, $retained);

        return new Prediction(
            capacityMl: $circuit->capacityMl(),
            headspaceMl: $cold->headspaceMl,
            usableMl: $usable,
            drains: $empty ? [] : $this->drains($drainage, $cold->headspaceMl),
            further: $empty ? [] : $this->further($drainage),
            slow: $empty ? [] : $drainage->slow,
            retained: $empty ? new Volumes : $drainage->retained,
            retainedMl: $retained,
            fullRuns: $cold->runs->withoutTrappedAir(),
            neededMl: max(1.0, $usable - $retained),
            stockMl: $mix->stock()->mL(),
            waterMl: $mix->water()->mL(),
            rinses: $this->choices->rinses($usable, $retained),
            reachable: $mix->reachable(),
            finalFraction: $mix->finalFraction(),
        );
    }

    /**
     * What each drain empties, by comparing with one drain fewer.
     *
     * @return list<PredictedDrain>
     */
    private function drains(Drainage $all, float $headspaceMl): array
    {
        $volumes = Drainage::belowHeadspace(array_map(fn (DrainedPort $d) => $d->volumeMl, $all->drains), $headspaceMl);
        $drains = [];
        $before = Volumes::full($this->circuit);
        foreach ($all->drains as $i => $drained) {
            $last = $i === count($all->drains) - 1;
            $after = $last
                ? $all->retained
                : $this->drainedBy(array_slice($this->choices->drains, 0, $i + 1))->retained;
            $drains[] = new PredictedDrain($drained->port, $volumes[$i], $before->less($after)->above(self::DROPS_ML));
            $before = $after;
        }

        return $drains;
    }

    /**
     * The drain points that are not opened, those that would let out most first.
     *
     * @return list<FurtherDrain>
     */
    private function further(Drainage $planned): array
    {
        $off = array_map(
            fn (Cover $c) => $c->id,
            (new Materials($this->circuit, $this->choices, $this->school))->covers(),
        );
        $further = [];
        foreach ($this->circuit->portsOf(PortKind::Drain) as $port) {
            if (! in_array($port->id, $this->choices->drains, true)) {
                $after = $this->drainedBy([...$this->choices->drains, $port->id]);
                $covers = array_values(array_diff($port->behind, $off));
                $minutes = $port->minutes + array_sum(
                    array_map(fn (string $c) => $this->circuit->covers[$c]->minutes, $covers),
                );
                $further[] = new FurtherDrain(
                    $port->id,
                    max(0.0, $planned->retainedMl - $after->retainedMl),
                    $minutes,
                    $covers,
                    $planned->retained->less($after->retained)->above(self::DROPS_ML),
                );
            }
        }
        usort($further, fn (FurtherDrain $a, FurtherDrain $b) => $b->volumeMl <=> $a->volumeMl);

        return $further;
    }

    /** @param  list<string>  $ports */
    private function drainedBy(array $ports): Drainage
    {
        return $this->known->drained($ports, $this->choices->noseLiftMm);
    }
}
