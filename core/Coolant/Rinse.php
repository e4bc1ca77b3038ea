<?php

declare(strict_types=1);

namespace Aqbel\Core\Coolant;

use Aqbel\Core\InvalidField;

/**
 * How often to rinse. The old coolant's share after n drains is (retained/capacity)ⁿ, the first drain counted; perfect
 * mixing holds only if the thermostat opened each time.
 */
final readonly class Rinse
{
    private function __construct(
        /** Fills with water between the first drain and the new coolant. */
        public int $rinses,
        public float $oldFraction,
        public float $waterMl,
    ) {
    }

    /** @throws InvalidField when nothing drains, so no number of rinses helps */
    public static function until(float $capacityMl, float $retainedMl, float $targetOldFraction): self
    {
        if ($retainedMl >= $capacityMl) {
            throw new InvalidField('retained_ml', 'Less must stay inside than the circuit holds. Open another drain point.');
        }
        $share = $retainedMl / $capacityMl;
        $drains = $share <= $targetOldFraction ? 1 : (int) ceil(log($targetOldFraction) / log($share) - 1.0e-9);

        return new self($drains - 1, $share ** $drains, ($drains - 1) * ($capacityMl - $retainedMl));
    }
}
