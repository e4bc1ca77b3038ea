<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/** What has to cool: how much heat it holds, and what stands around it. */
final readonly class CoolingBody
{
    /** A usual engine, kJ/K (common practice, no source). */
    private const USUAL_KJ_K = 110.0;

    /** Its time grows with the heat it holds by this power: surface grows too (common practice, no source). */
    private const POWER = 0.4;

    /**
     * Half glycol, kJ/K for each litre; engine and coolant together, where
     * nobody knows the metal (any handbook table, from memory).
     */
    private const COOLANT_KJ_K_L = 3.8;

    private const WITH_METAL_KJ_K_L = 11.0;

    /** Iron and light alloy, kJ/K for each kilogram (any handbook table, from memory). */
    private const METAL_KJ_K_KG = 0.55;

    private function __construct(
        private float $heatKjK,
        public Shelter $shelter,
        public float $fanRanOnMinutes,
        private float $timesUsual,
    ) {
    }

    /**
     * @param  ?float  $capacityMl  of the circuit; a usual engine where nobody knows
     * @param  ?float  $metalKg  of block and heads
     * @param  float  $timesUsual  what such a body takes in this shop, over what is usual
     * @param  float  $fanRanOnMinutes  after it was shut off: what was read meanwhile says nothing of the rest
     */
    public static function of(
        ?float $capacityMl = null,
        ?float $metalKg = null,
        Shelter $shelter = Shelter::Open,
        float $fanRanOnMinutes = 0.0,
        float $timesUsual = 1.0,
    ): self {
        $litres = ($capacityMl ?? 0.0) / 1000.0;
        $heat = match (true) {
            $capacityMl === null && $metalKg === null => self::USUAL_KJ_K,
            $metalKg === null => self::WITH_METAL_KJ_K_L * $litres,
            default => self::COOLANT_KJ_K_L * $litres + self::METAL_KJ_K_KG * $metalKg,
        };

        return new self(max(1.0, $heat), $shelter, $fanRanOnMinutes, $timesUsual);
    }

    /** The usual time constant of such a body, minutes. */
    public function tauMinutes(): float
    {
        return CoolDown::DEFAULT_TAU_MINUTES * $this->slowness() * $this->shelter->slower() * $this->timesUsual;
    }

    /** How many times longer than a usual engine it takes for the heat it holds. */
    public function slowness(): float
    {
        return ($this->heatKjK / self::USUAL_KJ_K) ** self::POWER;
    }
}
