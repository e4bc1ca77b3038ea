<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Neck;

/**
 * One pour of a school: through which port, with which ports open, how high the surface and the nose, and the neck
 * afterwards.
 */
final readonly class PlannedPour
{
    /**
     * @param  string  $at  fill port
     * @param  list<string>  $open  ports left open; each is closed as it runs
     * @param  float  $headMm  surface above the fill port, negative below
     * @param  ?self  $after  the pour before it, on whose coolant it begins
     */
    public function __construct(
        public string $at,
        public array $open = [],
        public float $headMm = 0.0,
        public float $noseLiftMm = 0.0,
        public Neck $neckAfterwards = Neck::Sealed,
        public ?self $after = null,
    ) {
    }

    /**
     * The same pour, otherwise.
     *
     * @param  ?list<string>  $open
     */
    public function but(?array $open = null, ?float $headMm = null, ?float $noseLiftMm = null): self
    {
        return new self(
            $this->at,
            $open ?? $this->open,
            $headMm ?? $this->headMm,
            $noseLiftMm ?? $this->noseLiftMm,
            $this->neckAfterwards,
            $this->after?->but(noseLiftMm: $noseLiftMm),
        );
    }

    /**
     * What it does to a circuit, poured to its end after those before it.
     *
     * @param  Volumes  $stays  inside when the first of them began
     */
    public function fill(Circuit $circuit, Volumes $stays, float $barometerKpa, float $coarseness = 1.0): Filling
    {
        return Filling::of(
            $circuit,
            $this->at,
            $this->open,
            $this->openGates($circuit),
            $this->noseLiftMm,
            $this->headMm,
            $barometerKpa,
            $coarseness,
            inside: $this->after?->fill($circuit, $stays, $barometerKpa, $coarseness)->runs->coolant($circuit) ?? $stays,
        );
    }

    /**
     * @return list<string> gates that are open while it is poured:
     * through a further fill point, those beside its open end too
     */
    public function openGates(Circuit $circuit): array
    {
        return $this->at === $circuit->fillPort()->id
            ? $circuit->usualGates()
            : array_values(array_unique([...$circuit->usualGates(), ...$circuit->gatesBeside($this->at)]));
    }

    /** How coolant and air stand in the middle of it: by the ledger, on top of what stayed inside where it is told. */
    public function standing(JobState $job): Runs
    {
        [$plan, $ledger] = [Plan::of($job), $job->ledger()];
        $most = $ledger->contentMl + $ledger->plusMinusMl;
        $stays = $plan->choices->inside($plan->predicted->retained);
        if ($this->after !== null) {
            $stays = $this->after
                ->fill($job->circuit, $stays, $plan->choices->atmosphere()->pressure->kPa())
                ->runs->coolant($job->circuit);
            if ($stays->sum() > $most) {
                // The pour before it has not come to its end.
                return $this->after->standing($job);
            }
        }
        $inside = $stays->sum() <= $most ? $stays : new Volumes;

        return Filling::of(
            $job->circuit,
            $this->at,
            $this->open,
            $this->openGates($job->circuit),
            $this->noseLiftMm,
            $this->headMm,
            volumeMl: max(0.0, $ledger->contentMl - $inside->sum()),
            inside: $inside,
        )->runs;
    }

    /** @param  list<string>  $open */
    public static function atTheNeck(
        Circuit $circuit,
        array $open,
        float $headMm = 0.0,
        float $noseLiftMm = 0.0,
        ?self $after = null,
    ): self {
        return new self($circuit->fillPort()->id, $open, $headMm, $noseLiftMm, after: $after);
    }
}
