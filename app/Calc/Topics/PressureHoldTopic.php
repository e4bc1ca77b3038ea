<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Vacuum\PressureHold;
use Aqbel\Core\Vacuum\PressureReading;

final class PressureHoldTopic implements Topic
{
    /** A reading that high is the rating, kPa. */
    private const SLACK_KPA = 0.5;

    private const SHOP_C = 20.0;

    public function name(): string
    {
        return 'pressure-hold';
    }

    public function summary(): string
    {
        return 'whether a circuit that was pumped up holds, and how large a loss could hide in it';
    }

    public function answer(Input $input): array
    {
        $cap = $input->number('cap_kpa', 1, 400);
        $limit = $input->number('limit_kpa', 1, 400, $cap);
        $readings = [];
        foreach ($input->objects('readings') as $i => $reading) {
            $kpa = $reading->number('kpa', 0, 1000);
            if ($kpa > min($cap, $limit) + self::SLACK_KPA) {
                $most = min($cap, $limit);
                throw new InvalidField("readings.{$i}.kpa", "Never pump above {$most} kPa here, cap and limit. "
                    .'Let it off and test lower.');
            }
            $readings[] = new PressureReading(
                $reading->number('t_s', 0, 1_000_000),
                Pressure::kilopascals($kpa),
                Temperature::celsius($reading->number('temp_c', -40, 150, self::SHOP_C)),
            );
        }
        assert($readings !== []);
        $hold = new PressureHold(
            $readings,
            Pressure::kilopascals($input->number('asked_kpa', 1, 400, min($cap, $limit))),
            $input->atmosphere(seaLevelByDefault: true)->pressure,
            $input->number('gas_ml', 1, 100_000),
            Pressure::kilopascals($input->number('gauge_resolution_kpa', 0.01, 50, 2)),
            $input->choice('engine', ['cold', 'warm'], 'cold') === 'warm',
        );

        return [
            'verdict' => $hold->verdict->value,
            'loss_ml_min' => $hold->lossMlPerMinute,
            'bound_ml_min' => $hold->boundMlPerMinute,
            'temperature_effect_kpa' => $hold->temperatureEffectKpa,
            'reason' => $hold->reason,
        ];
    }
}
