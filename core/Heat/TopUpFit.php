<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/** One explanation of a series of top-ups: air·ratioⁿ by heat cycles, and a leak by hours; mL. */
final readonly class TopUpFit
{
    /**
     * @param  float  $leak  over an interval of usual length
     * @param  float  $evidence  how likely such a series is under it, amounts averaged out
     * @param  float  $chi2  of the likeliest amounts
     */
    public function __construct(
        public float $air,
        public float $ratio,
        public float $leak,
        public float $evidence,
        public float $chi2,
    ) {
    }
}
