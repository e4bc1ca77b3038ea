<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\LeastSquares;
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
     * @param  list<Reading>  $readings  in rising order of time
     *
     * @throws InvalidField without readings, on readings that do not fall, or a safe temperature the air never lets it reach
     */
    public static function predict(Temperature $ambient, array $readings, Temperature $safe): self
    {
        if ($safe->degC() <= $ambient->degC()) {
            throw new InvalidField(
                'safe_c',
                'The safe temperature must lie above the air temperature, or the engine never gets there.',
            );
        }
        if ($readings === []) {
            throw new InvalidField('readings', 'Give at least one reading.');
        }
        $last = $readings[count($readings) - 1]->temperature;
        if ($last->degC() <= $safe->degC()) {
            return new self(self::DEFAULT_TAU_MINUTES, 0.0, false);
        }
        $tau = count($readings) > 1 ? self::fit($ambient, $readings) : self::DEFAULT_TAU_MINUTES;
        $minutes = $tau * log(($last->degC() - $ambient->degC()) / ($safe->degC() - $ambient->degC()));

        return new self($tau, $minutes, count($readings) > 1);
    }

    /** @param  non-empty-list<Reading>  $readings */
    private static function fit(Temperature $ambient, array $readings): float
    {
        $points = [];
        foreach ($readings as $i => $reading) {
            if ($i > 0 && $reading->minute <= $readings[$i - 1]->minute) {
                throw new InvalidField(
                    "readings.{$i}.t_min",
                    'Readings must follow each other in time. Give this one a later time than the one before.',
                );
            }
            if ($reading->temperature->degC() <= $ambient->degC()) {
                throw new InvalidField(
                    "readings.{$i}.temp_c",
                    'A cooling engine stays warmer than the air. Check this reading and the air temperature.',
                );
            }
            $points[] = [$reading->minute, log($reading->temperature->degC() - $ambient->degC())];
        }
        $slope = LeastSquares::slope($points);
        if ($slope >= 0.0) {
            throw new InvalidField(
                'readings.'.(count($points) - 1).'.temp_c',
                'The readings do not fall, so there is no cool-down to predict. Read again once the engine stands still.',
            );
        }

        return -1.0 / $slope;
    }
}
