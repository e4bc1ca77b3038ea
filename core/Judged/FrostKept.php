<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\FreezePointRead;
use Aqbel\Core\Quantity\Temperature;

/**
 * Whether what is inside protects as was wanted, beyond what can be told. The refractometer knows; where there is none,
 * the ledger's sum has to do.
 */
final readonly class FrostKept
{
    /** More glycol carries less heat and protects no better (handbook of any maker, from memory). */
    private const MOST = 0.6;

    private function __construct(
        private Situation $at,
        public float $fraction,
        public float $plusMinus,
        public float $target,
    ) {
    }

    /** Null while nothing is known of what is inside. */
    public static function of(Situation $at): ?self
    {
        $target = MixComesTo::target($at->job);
        $freeze = $at->job->observedAnywhere(FreezePointRead::class);
        if ($freeze !== []) {
            return new self(
                $at,
                self::reads($at->job, $freeze[count($freeze) - 1]->celsius),
                MixtureRead::PLUS_MINUS,
                $target,
            );
        }
        $ledger = $at->job->ledger();

        return $ledger->fraction() === null
            ? null
            : new self($at, $ledger->fraction(), $ledger->glycolPlusMinus, $target);
    }

    /** Whether what a refractometer shows freezes too early, whoever reads it and when. */
    public static function readsShort(JobState $job, float $freezesAtC): bool
    {
        return self::reads($job, $freezesAtC) < MixComesTo::target($job) - MixtureRead::PLUS_MINUS;
    }

    /**
     * The glycol share inside: by the sums, or as a refractometer read it last where that is another one; null where
     * neither tells.
     *
     * @param  ?float  $laterC  the freeze point as it was read after the job, °C; null where nobody did
     */
    public static function inside(JobState $job, ?float $laterC = null): ?float
    {
        $read = $job->observedAnywhere(FreezePointRead::class);
        $freezesAtC = $laterC ?? ($read === [] ? null : $read[count($read) - 1]->celsius);
        [$shows, $sums] = [$freezesAtC === null ? null : self::reads($job, $freezesAtC), $job->ledger()->fraction()];

        return $shows !== null && ($sums === null || abs($shows - $sums) > MixtureRead::PLUS_MINUS) ? $shows : $sums;
    }

    /** The share that freezes there. */
    private static function reads(JobState $job, float $freezesAtC): float
    {
        return Mixture::freezingAt(
            $job->circuit->facts->base,
            Temperature::celsius(min(0.0, $freezesAtC)),
        )->volumeFraction;
    }

    public function isShort(): bool
    {
        // What was on target when it was mixed is not short of it at the signature.
        return $this->fraction < $this->target - max($this->plusMinus, MixComesTo::CLOSE);
    }

    public function isTooStrong(): bool
    {
        return $this->fraction > max(self::MOST, $this->target) + $this->plusMinus;
    }

    /**
     * What fits the room there is: so much out, so much of the other in.
     *
     * @return array{float, float} mL
     */
    public function remedy(): array
    {
        $ledger = $this->at->job->ledger();
        $full = $ledger->capacityMl - $ledger->headspaceMl;
        $with = $this->isShort() ? 1.0 : 0.0;
        $pour = $full * ($this->target - $this->fraction) / ($with - $this->fraction);

        return [max(0.0, $pour - max(0.0, $full - $ledger->contentMl)), $pour];
    }
}
