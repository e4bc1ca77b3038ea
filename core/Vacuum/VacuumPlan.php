<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Volume;

/** How deep to pull here, how warm the circuit may be, and what the vacuum will draw in. */
final readonly class VacuumPlan
{
    /** Liquid left inside must stay well below its boiling pressure. */
    public const VAPOUR_MARGIN = 1.5;

    public Pressure $target;

    public Pressure $absolute;

    public Pressure $vapour;

    public function __construct(
        public Atmosphere $atmosphere,
        public Pressure $seaLevelTarget,
        public Volume $void,
        public Volume $headspace,
        public Temperature $temperature,
        public Mixture $coolant,
    ) {
        $this->target = $atmosphere->sameQuality($seaLevelTarget);
        $this->absolute = $atmosphere->under($this->target);
        $this->vapour = $coolant->vapourPressure($temperature);
        if ($this->absolute->kPa() <= 0.1) {
            throw new InvalidField(
                'sea_level_target_inhg',
                'Enter a gauge vacuum below 29.9 inHg; nothing pulls deeper than the air is heavy.',
            );
        }
        if ($this->vapour->kPa() >= $atmosphere->pressure->kPa()) {
            throw new InvalidField(
                'temp_c',
                'The coolant would boil at this temperature with the circuit open. Let it cool first.',
            );
        }
    }

    public function attainable(): bool
    {
        return $this->absolute->kPa() >= self::VAPOUR_MARGIN * $this->vapour->kPa();
    }

    /** The warmest circuit in which this vacuum can be reached: where p = 1.5 p_v. */
    public function maximumTemperature(): Temperature
    {
        return $this->coolant->boilingPoint(Pressure::kilopascals($this->absolute->kPa() / self::VAPOUR_MARGIN));
    }

    /**
     * Air that stays, gathered under the neck when the pressure is back: void·(p − p_v)/(p_atm − p_v), Boyle's law on
     * the air alone. A vacuum the circuit cannot hold leaves the vapour's share out and is reported by attainable().
     */
    public function residualAir(): Volume
    {
        $share = ($this->absolute->kPa() - $this->vapour->kPa()) / (
            $this->atmosphere->pressure->kPa() - $this->vapour->kPa()
        );

        return Volume::millilitres($this->void->mL() * max(0.0, $share));
    }

    public function intake(): Volume
    {
        return Volume::millilitres($this->void->mL() - $this->residualAir()->mL());
    }

    public function topUp(): Volume
    {
        return Volume::millilitres(max(0.0, $this->residualAir()->mL() - $this->headspace->mL()));
    }
}
