<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** How this shop works where practice differs. Minutes, °C, inHg, days and shares as named. */
final readonly class HouseRules
{
    private const HOLD_IS_ENOUGH = 'The hold shows a smaller hole than the tester does.';

    public Vessels $vessels;

    /**
     * @param  float  $oldShare  of the old coolant, where it must not stay (common practice, no source)
     * @param  float  $airShare  of the capacity that a fill may leave as air (common practice, no source)
     * @param  ChangeInterval  $changeFirst  first change of the coolant (common practice, no source)
     * @param  ChangeInterval  $changeLater  every later one (common practice, no source)
     * @param  string  $currency  as prices are written in this shop
     * @param  float  $coolingFactor  what a cool-down takes here, over what is usual
     * @param  float  $purgingFactor  the air a run leaves here, over what is usual
     * @param  string  $holdIsEnoughBecause  said once for every job that is not pressed after its vacuum
     */
    public function __construct(
        public BleedRule $closeBleed = BleedRule::BubbleFreeMinute,
        public float $glanceMinutes = 2.0,
        public float $holdMinutes = 15.0,
        public HoldLength $holdLength = HoldLength::Real,
        public float $safeTemperatureC = 45.0,
        public float $seaLevelVacuumInHg = 25.0,
        public float $gaugeResolutionInHg = 0.5,
        public int $fanCycles = 2,
        public float $followUpDays = 3.0,
        public float $oldShare = 0.05,
        public float $airShare = 0.03,
        public ChangeInterval $changeFirst = new ChangeInterval(160_000.0, 60.0, 4_000.0),
        public ChangeInterval $changeLater = new ChangeInterval(80_000.0, 36.0, 2_000.0),
        public string $currency = '',
        ?Vessels $vessels = null,
        public Labour $labour = new Labour,
        public AfterVacuum $afterVacuum = AfterVacuum::HoldIsEnough,
        public string $holdIsEnoughBecause = self::HOLD_IS_ENOUGH,
        public float $coolingFactor = 1.0,
        public float $purgingFactor = 1.0,
    ) {
        $this->vessels = $vessels ?? new Vessels(Vessel::usual());
    }

    public function changeInterval(bool $first): ChangeInterval
    {
        return $first ? $this->changeFirst : $this->changeLater;
    }

    public function minutesOf(HoldLength $length): float
    {
        return $length === HoldLength::Glance ? $this->glanceMinutes : $this->holdMinutes;
    }
}
