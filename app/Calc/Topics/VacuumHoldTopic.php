<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\GaugeReading;
use Aqbel\Core\Vacuum\VacuumHold;

final class VacuumHoldTopic implements Topic
{
    public function name(): string
    {
        return 'vacuum-hold';
    }

    public function summary(): string
    {
        return 'whether a held vacuum is tight, settling, leaking, moved or lost, and how large a leak '
            .'could hide in it';
    }

    public function answer(Input $input): array
    {
        $readings = array_map(fn (Input $reading) => new GaugeReading(
            $reading->number('t_s', 0, 1_000_000),
            Pressure::inchesOfMercury($reading->number('inhg', 0, 32)),
        ), $input->objects('readings'));
        $hold = new VacuumHold(
            $input->atmosphere(),
            Volume::millilitres($input->number('void_ml', 1, 1_000_000)),
            $readings,
            Pressure::inchesOfMercury($input->number('gauge_resolution_inhg', 0.01, 5, 0.5)),
            $input->has('target_inhg') ? Pressure::inchesOfMercury($input->number('target_inhg', 1, 30)) : null,
        );
        $bound = $hold->boundMlPerMinute();

        return [
            'verdict' => $hold->verdict->value,
            'rate_kpa_min' => $hold->rateKpaPerMinute(),
            'air_leak_ml_min' => $hold->airLeakMlPerMinute(),
            'detectable_ml_min' => $hold->detectableMlPerMinute(),
            'bound_ml_min' => $bound,
            'weep_ml_day' => $bound === null ? null : $hold->weepMlPerDay($bound, $input->number('cap_kpa', 1, 400, 103)),
            'hole_um' => $hold->holeMicrometres(),
            'reason' => $hold->reason,
        ];
    }
}
