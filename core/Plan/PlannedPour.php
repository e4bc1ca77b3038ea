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
     */
    public function __construct(
        public string $at,
        public array $open = [],
        public float $headMm = 0.0,
        public float $noseLiftMm = 0.0,
        public Neck $neckAfterwards = Neck::Sealed,
    ) {
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
        $stays = $plan->choices->inside($plan->predicted->retained);
        $inside = $stays->sum() <= $ledger->contentMl + $ledger->plusMinusMl ? $stays : new Volumes;

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
    public static function atTheNeck(Circuit $circuit, array $open, float $headMm = 0.0, float $noseLiftMm = 0.0): self
    {
        return new self($circuit->fillPort()->id, $open, $headMm, $noseLiftMm);
    }
}
