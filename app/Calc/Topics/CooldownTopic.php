<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Heat\CoolDown;
use Aqbel\Core\Heat\CoolingBody;
use Aqbel\Core\Heat\Reading;
use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\Quantity\Temperature;

final class CooldownTopic implements Topic
{
    public function name(): string
    {
        return 'cooldown';
    }

    public function summary(): string
    {
        return 'minutes until a standing engine is cold enough to open';
    }

    public function answer(Input $input): array
    {
        $readings = array_map(fn (Input $reading) => new Reading(
            $reading->number('t_min', 0, 100_000),
            Temperature::celsius($reading->number('temp_c', -50, 200)),
        ), $input->objects('readings'));
        $coolDown = CoolDown::predict(
            Temperature::celsius($input->number('ambient_c', -50, 60)),
            $readings,
            Temperature::celsius($input->number('safe_c', 0, 120, 45)),
            CoolingBody::of(
                $input->has('capacity_ml') ? $input->number('capacity_ml', 1, 1.0e6) : null,
                $input->has('metal_kg') ? $input->number('metal_kg', 0, 1.0e5) : null,
                Shelter::from(
                    $input->choice('sheltered', array_column(Shelter::cases(), 'value'), Shelter::Open->value),
                ),
                $input->number('fan_ran_on_min', 0, 1440, 0),
            ),
        );

        return [
            'minutes_from_last' => $coolDown->minutesFromLast,
            'minutes_low' => $coolDown->minutesLow,
            'minutes_high' => $coolDown->minutesHigh,
            'come_back_min' => $coolDown->comeBackMinutes,
            'tau_min' => $coolDown->tauMinutes,
        ];
    }
}
