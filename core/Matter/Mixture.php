<?php

declare(strict_types=1);

namespace Aqbel\Core\Matter;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

/** A mixture of water and one glycol, by volume fraction of glycol at 20 °C. Volumes carry ±0.5 %. */
final readonly class Mixture
{
    private const WATER_20 = 998.2;

    private const WATER_MOLAR_MASS = 18.015;

    /** @throws InvalidField on a fraction outside 0 to 1 */
    public function __construct(public Glycol $base, public float $volumeFraction)
    {
        if (! ($volumeFraction >= 0.0 && $volumeFraction <= 1.0)) {
            throw new InvalidField(
                'volume_fraction',
                'Enter the share of glycol by volume as a number from 0 to 1, for example 0.5 for 50 %.',
            );
        }
    }

    public static function water(): self
    {
        return new self(Glycol::Ethylene, 0.0);
    }

    /** The mixture whose freeze point a refractometer shows. Beyond the table its last row is returned. */
    public static function freezingAt(Glycol $base, Temperature $freezePoint): self
    {
        $mass = (new MonotoneCurve($base->freezeTable()))->whereFallingTo($freezePoint->degC()) / 100.0;
        $glycol = $mass / $base->density();

        return new self($base, $glycol / ($glycol + (1.0 - $mass) / self::WATER_20));
    }

    public function massFraction(): float
    {
        $glycol = $this->volumeFraction * $this->base->density();

        return $glycol / ($glycol + (1.0 - $this->volumeFraction) * self::WATER_20);
    }

    public function waterMoleFraction(): float
    {
        $water = (1.0 - $this->massFraction()) / self::WATER_MOLAR_MASS;

        return $water / ($water + $this->massFraction() / $this->base->molarMass());
    }

    public function freezePoint(): Temperature
    {
        return Temperature::celsius((new MonotoneCurve($this->base->freezeTable()))->at($this->massFraction() * 100.0));
    }

    /** Whether the freeze point is only a bound: the table ends before this strength, and stronger is not better. */
    public function freezeIsBound(): bool
    {
        return $this->massFraction() * 100.0 > (new MonotoneCurve($this->base->freezeTable()))->last();
    }

    /** Raoult's law: the water's share of molecules times its saturation pressure; glycol's own is negligible. */
    public function vapourPressure(Temperature $temperature): Pressure
    {
        return Pressure::kilopascals($this->waterMoleFraction() * Water::saturationPressure($temperature)->kPa());
    }

    /**
     * Where the vapour pressure equals the pressure given (absolute).
     *
     * @throws InvalidField for pure glycol or a pressure off the saturation line
     */
    public function boilingPoint(Pressure $absolute): Temperature
    {
        $share = $this->waterMoleFraction();
        if ($share < 0.01) {
            throw new InvalidField(
                'volume_fraction',
                'Pure glycol is no coolant and its boiling is not computed. Enter at most 0.95.',
            );
        }
        $saturation = $absolute->kPa() / $share;
        if ($saturation < 0.7 || $saturation > 22000.0) {
            throw new InvalidField('pressure_kpa', 'Enter an absolute pressure between 1 and 5000 kPa.');
        }

        return Water::saturationTemperature(Pressure::kilopascals($saturation));
    }

    /** kg/m³, by ideal volumetric mixing; water after Kell 1975. */
    public function density(Temperature $temperature): float
    {
        $mass = $this->volumeFraction * $this->base->density() + (1.0 - $this->volumeFraction) * self::WATER_20;

        return $mass / $this->volumeGrowth($temperature);
    }

    /** Volume at the temperature over volume at 20 °C. */
    public function volumeGrowth(Temperature $temperature): float
    {
        return $this->volumeFraction * (1.0 + $this->base->expansion() * ($temperature->degC() - 20.0))
            + (1.0 - $this->volumeFraction) * self::WATER_20 / Water::density($temperature);
    }
}
