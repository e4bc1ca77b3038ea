<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\LeastSquares;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;

/**
 * Judges a held vacuum. Below half the atmosphere the inflow through a hole is choked, so a leak is a straight line in
 * time while settling (hoses, warming, damp boiling off) bends and stands.
 */
final readonly class VacuumHold
{
    private const LEAST_SECONDS = 60.0;

    private const LEAST_READINGS = 3;

    private const DISCHARGE = 0.8;

    public HoldVerdict $verdict;

    public string $reason;

    private float $change;

    private float $early;

    private float $late;

    private float $lateChange;

    private float $seconds;

    /**
     * @param  list<GaugeReading>  $readings  in rising order of time
     *
     * @throws InvalidField on readings out of order or deeper than the air allows
     */
    public function __construct(
        private Atmosphere $air,
        private Volume $void,
        private array $readings,
        private Pressure $resolution,
    ) {
        $this->assertPlausible();
        $count = count($readings);
        $this->seconds = $count > 0 ? $readings[$count - 1]->second - $readings[0]->second : 0.0;
        if ($count < 2 || $this->seconds <= 0.0) {
            [$this->change, $this->early, $this->late, $this->lateChange] = [0.0, 0.0, 0.0, 0.0];
        } else {
            $this->change = $readings[0]->vacuum->kPa() - $readings[$count - 1]->vacuum->kPa();
            [$first, $second] = $this->halves();
            $this->early = LeastSquares::slope($first);
            $this->late = LeastSquares::slope($second);
            $this->lateChange = $this->late * $this->seconds / 2.0;
        }
        [$this->verdict, $this->reason] = $this->judge();
    }

    /** Mean rise of the absolute pressure over the second half, kPa/min: the part that settling has left. */
    public function rateKpaPerMinute(): float
    {
        return $this->late * 60.0;
    }

    /** Air coming in, mL/min at the shop's pressure. */
    public function airLeakMlPerMinute(): float
    {
        return max(0.0, $this->rateKpaPerMinute()) * $this->void->mL() / $this->air->pressure->kPa();
    }

    /** The smallest leak this gauge can show in this time, mL/min; null before there is a time. */
    public function detectableMlPerMinute(): ?float
    {
        return $this->seconds > 0.0
            ? $this->resolution->kPa() * $this->void->mL() / ($this->air->pressure->kPa() * $this->seconds / 60.0)
            : null;
    }

    /**
     * Diameter in µm of the round hole that passes the same air: choked isentropic flow at 20 °C, discharge 0.8
     * (ISO 6358; any gas-dynamics text).
     */
    public function holeMicrometres(): ?float
    {
        $flow = $this->airLeakMlPerMinute() / 60.0e6;
        if ($flow <= 0.0) {
            return null;
        }
        $sound = sqrt(1.4 * 287.05 * 293.15);
        $area = $flow / (self::DISCHARGE * $sound * (2.0 / 2.4) ** 3);

        return 1.0e6 * sqrt(4.0 * $area / M_PI);
    }

    /** @return array{HoldVerdict, string} */
    private function judge(): array
    {
        if (count($this->readings) < self::LEAST_READINGS || $this->seconds < self::LEAST_SECONDS) {
            return [
                HoldVerdict::Inconclusive,
                'At least three readings over one minute are needed before the needle says anything.',
            ];
        }
        $drop = round(Pressure::kilopascals($this->change)->in(Unit::InchOfMercury), 2);
        $minutes = round($this->seconds / 60.0, 1);
        $resolution = $this->resolution->kPa() * 1.000001;
        if (abs($this->change) <= $resolution) {
            return [
                HoldVerdict::Tight, "The needle moved {$drop} inHg in {$minutes} min, no more than the gauge can show.",
            ];
        }
        if ($this->change < 0.0) {
            return [
                HoldVerdict::Inconclusive,
                'The vacuum grew deeper with the valve closed. Let the circuit come to one temperature, check the valve, and hold again.',
            ];
        }
        if ($this->lateChange > $resolution && $this->late >= 0.5 * $this->early) {
            return [
                HoldVerdict::Leak,
                "The needle falls in a straight line, {$drop} inHg in {$minutes} min and still going: air is coming in.",
            ];
        }
        if ($this->late < $this->early / 3.0 && $this->lateChange <= $resolution) {
            return [
                HoldVerdict::Settling,
                "The needle fell {$drop} inHg early and now stands: hoses and damp settling. Pull again and restart the hold; no leak hunt yet.",
            ];
        }

        return [
            HoldVerdict::Inconclusive,
            'The needle is neither standing nor falling in a line. Keep holding and take more readings.',
        ];
    }

    /** @return array{list<array{float, float}>, list<array{float, float}>} seconds and absolute kPa, sharing the interpolated middle */
    private function halves(): array
    {
        $middle = ($this->readings[0]->second + $this->readings[count($this->readings) - 1]->second) / 2.0;
        $points = array_map(
            fn (GaugeReading $r): array => [$r->second, $this->air->under($r->vacuum)->kPa()],
            $this->readings,
        );
        [$first, $second] = [[], []];
        foreach ($points as $i => [$t, $p]) {
            $t < $middle ? $first[] = [$t, $p] : $second[] = [$t, $p];
            if ($i > 0 && $points[$i - 1][0] < $middle && $t >= $middle) {
                [$t0, $p0] = $points[$i - 1];
                $at = [$middle, $p0 + ($p - $p0) * ($middle - $t0) / ($t - $t0)];
                $first[] = $at;
                if ($t > $middle) {
                    array_unshift($second, $at);
                }
            }
        }

        return [$first, $second];
    }

    private function assertPlausible(): void
    {
        foreach ($this->readings as $i => $reading) {
            if ($i > 0 && $reading->second <= $this->readings[$i - 1]->second) {
                throw new InvalidField(
                    "readings.{$i}.t_s",
                    'Readings must follow each other in time. Give this one a later time than the one before.',
                );
            }
            if ($reading->vacuum->kPa() < 0.0 || $reading->vacuum->kPa() >= $this->air->pressure->kPa()) {
                $most = floor(Pressure::kilopascals($this->air->pressure->kPa())->in(Unit::InchOfMercury) * 10) / 10;
                throw new InvalidField(
                    "readings.{$i}.inhg",
                    "Enter the gauge reading in inHg, from 0 to below {$most}: the air here holds no more.",
                );
            }
        }
    }
}
