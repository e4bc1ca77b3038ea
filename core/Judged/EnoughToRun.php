<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;

/**
 * Whether an engine may be started on what the ledger says is inside: next to nothing missing, or no more than the
 * fill was to leave, and that nowhere in a jacket. What a bleed point ran, or a level at the mark, says nothing of it.
 */
final readonly class EnoughToRun
{
    /** What is said where there is not. */
    public const TOO_LITTLE = 'too_little';

    /** So much of the capacity may be missing, wherever it is (common practice, no source). */
    private const MAY_MISS = 0.15;

    private function __construct(public bool $is, public float $missingMl, public float $mayMissMl)
    {
    }

    public static function of(Situation $at): self
    {
        $ledger = $at->job->ledger();
        $missing = $ledger->trappedAirMl();
        $share = self::MAY_MISS * $ledger->capacityMl;
        $fill = Plan::of($at)->fill;
        $predicted = array_sum(array_map(fn (Pocket $pocket) => $pocket->volumeMl(), $fill->pockets));
        $may = $fill->wetsTheJackets($at->circuit())
            ? max($share, $predicted + $ledger->trappedAirPlusMinusMl())
            : $share;

        return new self($missing <= $may, $missing, $may);
    }
}
