<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

final class CoolantTopic implements Topic
{
    public function name(): string
    {
        return 'coolant';
    }

    public function summary(): string
    {
        return 'freeze point, boiling point, vapour pressure and density of a mixture';
    }

    public function answer(Input $input): array
    {
        $coolant = $input->coolant();
        $temperature = Temperature::celsius($input->number('temp_c', -30, 200, 20));
        $pressure = Pressure::kilopascals($input->number('pressure_kpa', 1, 5000, Atmosphere::SEA_LEVEL_KPA));

        return [
            'freeze_point_c' => $coolant->freezePoint()->degC(),
            'freeze_is_bound' => $coolant->freezeIsBound(),
            'boiling_point_c' => $coolant->boilingPoint($pressure)->degC(),
            'mass_fraction' => $coolant->massFraction(),
            'water_mole_fraction' => $coolant->waterMoleFraction(),
            'vapour_pressure_kpa' => $coolant->vapourPressure($temperature)->kPa(),
            'density_kg_m3' => $coolant->density($temperature),
        ];
    }
}
