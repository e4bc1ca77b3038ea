<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

final class BoilMarginTopic implements Topic
{
    public function name(): string
    {
        return 'boil-margin';
    }

    public function summary(): string
    {
        return 'boiling point under this neck and elevation, and the temperature at which to stop';
    }

    public function answer(Input $input): array
    {
        $pressure = Pressure::kilopascals($input->atmosphere()->pressure->kPa() + $input->number('cap_kpa', 0, 400, 0));
        $fanOn = $input->optionalNumber('fan_on_c', 0, 150);
        $vehicle = $input->optionalNumber('vehicle_limit_c', 0, 200);
        $limit = new StopLimit(
            $input->coolant()->boilingPoint($pressure),
            $fanOn === null ? null : Temperature::celsius($fanOn),
            $vehicle === null ? null : Temperature::celsius($vehicle),
        );
        $margin = $limit->boiling->degC() - $input->number('temp_c', -50, 200);

        return [
            'boiling_point_c' => $limit->boiling->degC(),
            'margin_k' => $margin,
            'stop_limit_c' => $limit->limit->degC(),
            'fan_can_prove' => $limit->fanCanProve(),
            'warning' => $margin < StopLimit::BOILING_MARGIN
                ? 'Less than 10 K below boiling: shut down, do not wait for the fan.'
                : null,
        ];
    }
}
