<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\VacuumPlan;

final class VacuumPlanTopic implements Topic
{
    public function name(): string
    {
        return 'vacuum-plan';
    }

    public function summary(): string
    {
        return 'how deep to pull here, how warm the circuit may be, what the vacuum draws in';
    }

    public function answer(Input $input): array
    {
        $plan = new VacuumPlan(
            $input->atmosphere(),
            Pressure::inchesOfMercury($input->number('sea_level_target_inhg', 1, 29.8, 25)),
            Volume::millilitres($input->number('void_ml', 1, 1_000_000)),
            Volume::millilitres($input->number('headspace_ml', 0, 1_000_000, 0)),
            Temperature::celsius($input->number('temp_c', -30, 120)),
            $input->coolant(),
        );

        return [
            'target_inhg' => $plan->target->in(Unit::InchOfMercury),
            'absolute_kpa' => $plan->absolute->kPa(),
            'vapour_kpa' => $plan->vapour->kPa(),
            'max_temp_c' => $plan->maximumTemperature()->degC(),
            'attainable' => $plan->attainable(),
            'residual_air_ml' => $plan->residualAir()->mL(),
            'intake_ml' => $plan->intake()->mL(),
            'top_up_ml' => $plan->topUp()->mL(),
        ];
    }
}
