<?php

declare(strict_types=1);

namespace Aqbel\Core\Mixing;

use Aqbel\Core\InvalidField;

/**
 * How often to rinse. The old coolant's share after n drains is (retained/capacity)ⁿ, the first drain counted; perfect
 * mixing holds only if the thermostat opened each time.
 */
final readonly class RinseChain
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
        $share = $retainedMl / $capacityMl;

        return self::from($share, $share, $capacityMl, $targetOldFraction);
    }

    /**
     * From whatever share of old coolant is in it now, drained.
     *
     * @param  float  $oldFraction  of the whole circuit, were it full again
     * @param  float  $keeps  share of the capacity that stays inside at every drain
     *
     * @throws InvalidField when nothing drains, so no number of rinses helps
     */
    public static function from(float $oldFraction, float $keeps, float $capacityMl, float $targetOldFraction): self
    {
        if ($keeps >= 1.0) {
            throw new InvalidField(
                'retained_ml',
                'Less must stay inside than the circuit holds. Open another drain point.',
            );
        }
        $rinses = match (true) {
            $oldFraction <= $targetOldFraction => 0,
            $keeps <= 0.0 => 1,
            default => (int) ceil(log($targetOldFraction / $oldFraction) / log($keeps) - 1.0e-9),
        };

        return new self($rinses, $oldFraction * $keeps ** $rinses, $rinses * $capacityMl * (1.0 - $keeps));
    }
}
