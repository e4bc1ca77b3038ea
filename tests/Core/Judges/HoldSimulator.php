<?php

declare(strict_types=1);

namespace Tests\Core\Judges;

use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\GaugeReading;
use Aqbel\Core\Vacuum\VacuumHold;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A circuit under vacuum, second by second: air through a hole by the gas law (choked, then not), hoses and damp
 * settling, an adapter that rocks, a gauge read to its division by somebody. Nothing of it is the judge's.
 */
final class HoldSimulator
{
    private readonly Randomizer $chance;

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    public function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->chance->getInt(0, 1_000_000) / 1.0e6;
    }

    public function logBetween(float $low, float $high): float
    {
        return exp($this->between(log($low), log($high)));
    }

    /**
     * @param  float  $leak  mL of air a minute at the shop's pressure, while choked
     * @param  float  $settles  inHg, within the time constant given
     * @param  float  $jump  inHg, at a moment between the second reading and the last but one
     * @param  float  $division  of the gauge, inHg
     */
    public function hold(
        float $minutes,
        int $count,
        float $leak = 0.0,
        float $settles = 0.0,
        float $tau = 60.0,
        float $jump = 0.0,
        float $division = 0.5,
    ): SimulatedHold {
        $air = Atmosphere::atElevation(Length::metres($this->between(0.0, 1600.0)));
        $void = $this->between(4000.0, 14000.0);
        $outside = $air->pressure->kPa();
        $pressure = $outside * $this->between(0.14, 0.2);
        $jumpsAt = $jump > 0.0 ? $this->between(0.25, ($count - 2.0) / ($count - 1) - 0.02) * $minutes * 60.0 : INF;
        $wanted = array_map(fn (int $i) => (int) round($minutes * 60.0 * $i / ($count - 1)), range(0, $count - 1));
        [$readings, $settled] = [[], 0.0];
        for ($second = 0; $second <= (int) round($minutes * 60.0); $second++) {
            if (in_array($second, $wanted, true)) {
                $inHg = ($outside - $pressure) / 3.386389 + $this->between(-0.2, 0.2) * $division;
                $shows = round($inHg / $division) * $division;
                $readings[] = new GaugeReading((float) $second, Pressure::inchesOfMercury($shows));
            }
            $ratio = $pressure / $outside;
            $flows = $ratio < 0.528 ? 1.0 : sqrt(max(0.0, 1.0 - (($ratio - 0.528) / 0.472) ** 2));
            $pressure += $leak / 60.0 * $flows * $outside / $void;
            $now = $settles * (1.0 - exp(-($second + 1) / $tau));
            $pressure += ($now - $settled) * 3.386389;
            $settled = $now;
            $pressure += $second + 1 > $jumpsAt && $second <= $jumpsAt ? $jump * 3.386389 : 0.0;
        }
        $hold = new VacuumHold($air, Volume::millilitres($void), $readings, Pressure::inchesOfMercury($division));

        return new SimulatedHold($hold, $leak);
    }
}
