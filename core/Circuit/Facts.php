<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;

/** What the service manual says of the vehicle, as far as it is known; every figure may be absent. */
final readonly class Facts
{
    /** 10 psi, the most that is pumped on a cold circuit to vent it (common practice, no source). */
    private const VENT_KPA = 69.0;

    /**
     * @param  list<string>  $outlets  heater outlets, e.g. front and rear; none without a heater
     * @param  list<RoutineLine>  $routine  the manual's own way of filling and bleeding; empty where it has none
     */
    public function __construct(
        public ?float $capKpa,
        public ?float $thermostatStartC,
        public ?float $thermostatFullC,
        public string $thermostatFarSide,
        public ?float $fanOnC,
        public ?float $fanOffC,
        public ?float $limitC,
        public Glycol $base,
        public string $inhibitor,
        public float $targetFraction,
        public NeckType $neck,
        public string $coldLevel,
        /** Cold surface relative to the fill port, negative below it. */
        public float $coldHeadMm,
        public HeaterDrive $heaterDrive,
        public array $outlets,
        public string $source,
        /** The manual's capacity; null when not stated. */
        public ?float $capacityMl = null,
        public bool $stationary = false,
        public array $routine = [],
        /** A hybrid or electric drive: only trained people. */
        public bool $highVoltage = false,
    ) {
    }

    public function coolant(): Mixture
    {
        return new Mixture($this->base, $this->targetFraction);
    }

    /** What the manual names it by: the family, or the base where nobody has said a family. */
    public function family(): string
    {
        return $this->inhibitor === '' ? $this->base->label() : $this->inhibitor;
    }

    /** What may be pumped on it cold to vent a point, over atmosphere: never above its cap. */
    public function mostToVentKpa(): float
    {
        return min(self::VENT_KPA, $this->capOrNothingKpa());
    }

    /** Over atmosphere; 0 when no cap rating is known, which is the careful side. */
    public function capOrNothingKpa(): float
    {
        return $this->capKpa ?? 0.0;
    }
}
