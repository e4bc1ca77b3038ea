<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Temperature;

/** When a standing engine is cold enough: Newton's law of cooling, T − T_a = (T₀ − T_a)·e^(−t/τ). */
final readonly class CoolDown
{
    /** Hood open, from common practice (95 °C → about 69 °C after 30 min and 43 °C after 90 min at 25 °C). */
    public const DEFAULT_TAU_MINUTES = 65.0;

    private function __construct(public float $tauMinutes, public float $minutesFromLast, public bool $fitted)
    {
    }

    /**
     * τ by least squares on ln(T − T_a); a single reading uses the default.
     *
     * @param  list<array{t_min: float, temperature: Temperature}>  $readings  in rising order of time
     *
     * @throws InvalidField without readings, on readings that do not fall, or a safe temperature the air never lets it reach
     */
    public static function predict(Temperature $ambient, array $readings, Temperature $safe): self
    {
        if ($safe->degC() <= $ambient->degC()) {
            throw new InvalidField('safe_c', 'The safe temperature must lie above the air temperature, or the engine never gets there.');
        }
        if ($readings === []) {
            throw new InvalidField('readings', 'Give at least one reading.');
        }
        $last = $readings[count($readings) - 1]['temperature'];
        if ($last->degC() <= $safe->degC()) {
            return new self(self::DEFAULT_TAU_MINUTES, 0.0, false);
        }
        $tau = count($readings) > 1 ? self::fit($ambient, $readings) : self::DEFAULT_TAU_MINUTES;
        $minutes = $tau * log(($last->degC() - $ambient->degC()) / ($safe->degC() - $ambient->degC()));

        return new self($tau, $minutes, count($readings) > 1);
    }

    /** @param  non-empty-list<array{t_min: float, temperature: Temperature}>  $readings */
    private static function fit(Temperature $ambient, array $readings): float
    {
        $points = [];
        foreach ($readings as $i => $reading) {
            if ($i > 0 && $reading['t_min'] <= $readings[$i - 1]['t_min']) {
                throw new InvalidField("readings.{$i}.t_min", 'Readings must follow each other in time. Give this one a later time than the one before.');
            }
            if ($reading['temperature']->degC() <= $ambient->degC()) {
                throw new InvalidField("readings.{$i}.temp_c", 'A cooling engine stays warmer than the air. Check this reading and the air temperature.');
            }
            $points[] = [$reading['t_min'], log($reading['temperature']->degC() - $ambient->degC())];
        }
        $n = count($points);
        $meanT = array_sum(array_column($points, 0)) / $n;
        $meanY = array_sum(array_column($points, 1)) / $n;
        [$sxy, $sxx] = [0.0, 0.0];
        foreach ($points as [$t, $y]) {
            $sxy += ($t - $meanT) * ($y - $meanY);
            $sxx += ($t - $meanT) ** 2;
        }
        if ($sxy >= 0.0) {
            throw new InvalidField('readings.'.($n - 1).'.temp_c', 'The readings do not fall, so there is no cool-down to predict. Read again once the engine stands still.');
        }

        return -$sxx / $sxy;
    }
}
